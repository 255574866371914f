<script setup lang="ts">
/** A routine by which the controller learns: run, or refused with the reason that the reader shows. */
const props = defineProps<{ stepId: string; routine: string; runs?: string }>()
const { store, state } = useJob()
const t = useTerms()
const reason = ref('')
const { problems, allGood } = useProblems()
/** How far the reader is with it, in 100; `null` while it runs nothing. */
const percent = ref<number | null>(null)
const ours = (routine: string) => routine === props.runs
const reader = useReader({
  progress: (routine, done) => {
    if (ours(routine)) percent.value = done
  },
  done: routine => {
    if (ours(routine)) ended('done', '')
  },
  refused: (routine, said) => {
    if (ours(routine)) ended('refused', said)
  },
})
const offered = computed(() => reader.routines.value.find(({ id }) => id === props.runs) ?? null)
function ended(outcome: 'done' | 'refused', said: string) {
  percent.value = null
  allGood({ reason: store.attempt('routine-run', { stepId: props.stepId, outcome, reason: said }) })
}
function begin() {
  percent.value = 0
  reader.run(props.runs!)
}
watch(reader.name, name => {
  if (!name) percent.value = null
})
const run = computed(() => state.value.routines[props.stepId] ?? null)
function keep(outcome: 'done' | 'refused') {
  const said = outcome === 'refused' ? reason.value.trim() : ''
  const refusal = store.attempt('routine-run', { stepId: props.stepId, outcome, reason: said })
  if (allGood({ reason: refusal })) reason.value = ''
}
</script>

<template>
  <section aria-label="Routine" class="grid gap-3">
    <p class="text-lg">{{ t(routine) }}.</p>
    <p v-if="run" class="border-l-4 pl-4 text-lg" :class="run.outcome === 'done' ? 'border-good' : 'border-attention'">
      <template v-if="run.outcome === 'done'">Run through to its end.</template>
      <template v-else><span class="label">Refused.</span> {{ run.reason }}</template>
    </p>
    <SpeakingTool
      v-if="runs"
      :id="`reader-${stepId}`"
      what="A reader that speaks"
      :tool="reader"
      v-model:address="reader.address.value"
    >
      <button v-if="offered" type="button" class="button button-main" :disabled="percent !== null" @click="begin">
        {{ percent === null ? offered.name : 'Runs' }}
      </button>
      <span v-else class="text-quiet">It has no such routine; run it by hand.</span>
      <span v-if="percent !== null" class="figure" role="status">{{ Math.round(percent) }} in 100</span>
    </SpeakingTool>
    <button class="button" :class="run?.outcome === 'done' ? '' : 'border-action!'" @click="keep('done')">
      It ran through
    </button>
    <form class="grid gap-2" @submit.prevent="keep('refused')">
      <Field
        v-slot="{ control }"
        :id="`refused-${stepId}`"
        label="Or it was refused: why, as the reader shows it"
        :problem="problems.reason ?? ''"
        ><input v-bind="control" v-model="reason" class="mt-1" maxlength="300" autocomplete="off"
      /></Field>
      <button class="button justify-self-start">It was refused</button>
    </form>
  </section>
</template>
