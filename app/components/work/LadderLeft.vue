<script setup lang="ts">
import type { LadderEnd, LadderRun } from '../../../core/job'

/** A ladder that did not help: what follows from it, so that neither the trouble nor its time is forgotten. */
const props = defineProps<{ run: LadderRun; title: string }>()
const { store } = useJob()
const t = useTerms()
const numbers = useNumbers()
const ends: { id: LadderEnd; label: string; waits: string }[] = [
  { id: 'machine-shop', label: 'A machine shop', waits: 'Machine shop' },
  { id: 'part', label: 'Another part', waits: 'The part' },
  { id: 'specialist', label: 'Somebody who does this daily', waits: 'Specialist' },
  { id: 'customer', label: 'The customer decides', waits: 'Word of the customer' },
]
const end = ref<LadderEnd | null>(null)
const waitsFor = ref('')
const until = ref('')
const hours = ref('')
const { problems, allGood } = useProblems()
watch(end, chosen => {
  waitsFor.value = ends.find(entry => entry.id === chosen)?.waits ?? ''
})
const field = (name: string) => `left-${name}-${props.run.ladderRunId}`

function submit() {
  const read = hours.value.trim() === '' ? 0 : numbers.read(hours.value).value
  if (!allGood({ hours: (read === null || read < 0) && `“${hours.value}” is no number of hours.` })) return
  allGood({
    form: store.attempt('ladder-left', {
      ladderRunId: props.run.ladderRunId,
      end: end.value!,
      waitsFor: waitsFor.value.trim(),
      until: until.value ? new Date(until.value).toISOString() : null,
      minutes: Math.round(read! * 60),
    }),
  })
}
</script>

<template>
  <section class="mt-4 border-2 border-danger px-4 py-3" aria-label="What follows" data-testid="ladder-left">
    <p class="label text-danger">
      {{ t(run.text) }}<template v-if="run.about">: {{ run.about }}</template>
    </p>
    <h2 class="mt-1 text-2xl">This ladder did not help</h2>
    <p class="mt-1">The trouble stays open, and the finish waits for it. Say what follows.</p>
    <form class="mt-3 grid gap-4" novalidate @submit.prevent="submit">
      <ChoiceRow v-model="end" label="What helps now" :choices="ends" />
      <template v-if="end">
        <Field v-slot="{ control }" :id="field('waits')" label="The job waits for"
          ><input v-bind="control" v-model="waitsFor" class="mt-1" maxlength="200"
        /></Field>
        <div class="grid gap-4 sm:grid-cols-2">
          <Field v-slot="{ control }" :id="field('until')" label="Expected, if known"
            ><input v-bind="control" v-model="until" class="mt-1" type="datetime-local"
          /></Field>
          <Field
            v-slot="{ control }"
            :id="field('hours')"
            label="Hours of work it adds here"
            :problem="problems.hours ?? ''"
            ><input
              v-bind="control"
              v-model="hours"
              class="figure mt-1"
              inputmode="decimal"
              autocomplete="off"
              placeholder="0"
          /></Field>
        </div>
        <p class="text-danger" role="alert">{{ t(problems.form ?? '') }}</p>
        <button class="button button-main" :disabled="!waitsFor.trim()">Write it down</button>
      </template>
    </form>
  </section>
</template>
