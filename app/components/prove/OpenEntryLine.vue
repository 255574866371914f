<script setup lang="ts">
import type { OpenEntry } from '../../../core/job'

/** Something open before the hand-over; it is closed in the work, left with a reason somebody answers for, or taken back. */
const props = defineProps<{ entry: OpenEntry }>()
const { store } = useJob()
const t = useTerms()
const garage = useGarageStore()
const writing = ref(false)
const reason = ref('')
const problem = ref('')
const input = ref<HTMLInputElement | null>(null)
const field = computed(() => `reason-${props.entry.entry.replace(/[^\w-]/g, '-')}`)
const who = computed(() => garage.garage?.people.find(person => person.id === props.entry.left?.personId)?.name)
const answers = computed(() => props.entry.kind === 'finding' || props.entry.kind === 'figure')

function write() {
  reason.value = props.entry.left?.reason ?? ''
  writing.value = true
  void nextTick(() => input.value?.focus())
}
function submit() {
  const refusal = store.attempt('left-open', { entry: props.entry.entry, reason: reason.value.trim() })
  problem.value = refusal ?? ''
  if (refusal === null) writing.value = false
}
</script>

<template>
  <li class="py-1.5" :data-testid="`open-${entry.entry}`">
    <div class="flex flex-wrap items-center justify-between gap-3">
      <span class="min-w-0 flex-1 basis-60"
        >{{ t(entry.name)
        }}<span v-if="entry.item" class="figure text-quiet"> {{ entry.count }} {{ entry.item.state }}</span
        ><span v-else-if="entry.kind === 'tight'" class="text-quiet">
          <span class="figure">{{ entry.count }}</span> in by hand, not at their figure</span
        ><span v-else-if="entry.kind === 'figure'" class="text-quiet"> no figure is named</span>
        <span v-if="entry.left && !writing" class="block text-quiet"
          >Left: {{ entry.left.reason }}<template v-if="who"> ({{ who }})</template></span
        >
        <span v-if="entry.safety" class="block font-semibold text-danger"
          >No reason lets this go: it is put right before the car leaves.</span
        >
      </span>
      <span v-if="!writing" class="flex flex-wrap gap-2">
        <button v-if="entry.left" class="button" @click="store.write('left-open-withdrawn', { entry: entry.entry })">
          Take it back
        </button>
        <button class="button" @click="write">
          {{
            entry.left
              ? 'Change the reason'
              : answers
                ? 'I answer for it'
                : entry.safety
                  ? 'Say why, for calling off'
                  : 'Leave it, with a reason'
          }}
        </button>
      </span>
    </div>
    <form
      v-if="writing"
      class="mt-2 flex flex-wrap items-end gap-2"
      novalidate
      @submit.prevent="submit"
      @keydown.esc.stop="writing = false"
    >
      <Field v-slot="{ control }" :id="field" label="Why it stays so" class="min-w-48 flex-1" :problem="problem"
        ><input v-bind="control" ref="input" v-model="reason" class="mt-1" maxlength="300"
      /></Field>
      <button class="button button-main">Keep</button>
      <button type="button" class="button" @click="writing = false">Back</button>
    </form>
  </li>
</template>
