<script setup lang="ts">
import { figureEntry } from '../../../core/job'
import type { FastenerGroup } from '../../../core/packs'

/** Somebody drives on these: without a figure a person answers for them, by name and with a reason. */
const props = defineProps<{ group: FastenerGroup }>()
const t = useTerms()
const { store, state } = useJob()
const garage = useGarageStore()
const writing = ref(false)
const reason = ref('')
const problem = ref('')
const input = ref<HTMLInputElement | null>(null)
const excused = computed(() => state.value.leftOpen[figureEntry(props.group.id)] ?? null)
const who = computed(
  () => garage.garage?.people.find(person => person.id === (excused.value?.personId ?? garage.personId))?.name ?? '',
)
function ask() {
  writing.value = true
  void nextTick(() => input.value?.focus())
}
function submit() {
  problem.value = store.attempt('left-open', { entry: figureEntry(props.group.id), reason: reason.value.trim() }) ?? ''
  if (!problem.value) writing.value = false
}
</script>

<template>
  <div>
    <template v-if="excused">
      <p class="text-attention">{{ who }} answers for it without a figure: {{ excused.reason }}</p>
      <button class="button mt-1" @click="store.write('left-open-withdrawn', { entry: figureEntry(group.id) })">
        Take that back
      </button>
    </template>
    <form
      v-else-if="writing"
      class="flex flex-wrap items-end gap-2"
      novalidate
      @submit.prevent="submit"
      @keydown.esc.stop="writing = false"
    >
      <div class="min-w-48 flex-1">
        <Field v-slot="{ control }" :id="`excuse-${group.id}`" label="Why there is no figure, and how it is set"
          ><input v-bind="control" ref="input" v-model="reason" class="mt-1" maxlength="300"
        /></Field>
      </div>
      <button class="button button-main">{{ who }} answers for it</button>
      <button type="button" class="button" @click="writing = false">Back</button>
      <p class="w-full text-danger" role="alert">{{ t(problem) }}</p>
    </form>
    <button v-else class="min-h-11 underline" @click="ask">No figure to be had: I answer for it</button>
  </div>
</template>
