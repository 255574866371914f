<script setup lang="ts">
import type { Trouble } from '../../../core/job'
import { momentText } from '../../words/moments'

/** A trouble that is open, and the way to clear it. */
const props = defineProps<{ trouble: Trouble }>()
const { store, state } = useJob()
const clearing = ref(false)
const how = ref('')
const apart = ref(false)
/** Once opened it stays: until then nothing of it is fetched. */
const asked = ref(false)
const planned = computed(() => state.value.again.some(({ troubleId }) => troubleId === props.trouble.troubleId))
const field = computed(() => `how-${props.trouble.troubleId}`)

function clear() {
  if (!how.value.trim()) return
  if (store.write('trouble-cleared', { troubleId: props.trouble.troubleId, how: how.value.trim() }))
    clearing.value = false
}
</script>

<template>
  <div class="border-l-4 border-danger bg-attention-tint px-4 py-3">
    <p class="text-lg"><span class="label">Trouble.</span> {{ trouble.text }}</p>
    <p v-if="trouble.waitsFor">
      Waits for {{ trouble.waitsFor
      }}<template v-if="trouble.until">, expected {{ momentText(trouble.until) }}</template
      >.
    </p>
    <form v-if="clearing" class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="clear">
      <div class="min-w-48 flex-1">
        <Field v-slot="{ control }" :id="field" label="How it was solved"
          ><input v-bind="control" v-model="how" class="mt-1" maxlength="1000"
        /></Field>
      </div>
      <button class="button button-main" :disabled="!how.trim()">Cleared</button>
    </form>
    <div v-else class="mt-1 flex flex-wrap gap-x-6">
      <button class="min-h-11 font-semibold underline" @click="clearing = true">It is solved</button>
      <button v-if="!planned" class="min-h-11 font-semibold underline" @click="apart = asked = true">
        It has to come apart
      </button>
      <p v-else class="py-2">The plan has it.</p>
    </div>
    <LazyApartAgainDialog
      v-if="asked"
      :open="apart"
      :about="trouble"
      :because="trouble.text"
      :trouble-id="trouble.troubleId"
      :sent-to="trouble.waitsFor ?? undefined"
      @close="apart = false"
    />
  </div>
</template>
