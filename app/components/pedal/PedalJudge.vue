<script setup lang="ts">
import type { BubblesSeen, FluidColour } from '../../../core/job/chapters/bleeding'
import type { PedalFeel } from '../../../core/job'
import { readEntry } from '../../words/read-entry'

/** How the pedal is at the end of a round, and what was seen in the hose or the reservoir. */
const props = defineProps<{ stepId: string; bleeder: boolean }>()
const t = useTerms()
const { store } = useJob()
const units = useUnits()
const bubbles = ref<BubblesSeen | null>(null)
const colour = ref<FluidColour | null>(null)
const lost = ref('')
const problem = ref('')
const feels: { id: PedalFeel; label: string; what: string }[] = [
  { id: 'soft', label: 'Soft', what: 'as before' },
  { id: 'better', label: 'Better', what: 'not there yet' },
  { id: 'firm', label: 'Firm', what: 'bites where it should' },
]
function judge(feel: PedalFeel) {
  const text = lost.value.trim()
  const lostMm = text === '' ? undefined : readEntry(text, 'mm', units.preference.value).value
  problem.value =
    lostMm === null || (lostMm !== undefined && (lostMm < 0 || lostMm > 200))
      ? 'Travel lost is a number from {0 mm} to {200 mm}.'
      : ''
  if (problem.value) return
  const seen = {
    ...(bubbles.value ? { bubbles: bubbles.value } : {}),
    ...(colour.value ? { colour: colour.value } : {}),
    ...(lostMm === undefined ? {} : { lostMm: lostMm! }),
  }
  if (!store.write('pedal-judged', { stepId: props.stepId, feel, ...seen })) return
  bubbles.value = null
  colour.value = null
  lost.value = ''
}
</script>

<template>
  <section class="mt-5 grid gap-3" aria-labelledby="judge-title">
    <h2 id="judge-title" class="text-lg">How is the pedal now</h2>
    <div class="flex flex-wrap items-end gap-x-6 gap-y-3">
      <ChoiceRow
        v-model="bubbles"
        label="Bubbles"
        :choices="[
          { id: 'none', label: 'none' },
          { id: 'few', label: 'a few' },
          { id: 'many', label: 'many' },
        ]"
      />
      <ChoiceRow
        v-if="bleeder"
        v-model="colour"
        label="Fluid"
        :choices="[
          { id: 'dark', label: 'dark' },
          { id: 'cloudy', label: 'cloudy' },
          { id: 'clear', label: 'clear' },
        ]"
      />
      <div class="w-40">
        <Field v-slot="{ control }" id="lost" :label="`Travel lost, ${units.preference.value.length}`"
          ><input
            v-bind="control"
            v-model="lost"
            class="figure mt-2"
            inputmode="decimal"
            autocomplete="off"
            placeholder="if measured"
        /></Field>
      </div>
    </div>
    <p v-if="problem" class="text-danger" role="alert">{{ t(problem) }}</p>
    <div class="grid gap-2 sm:grid-cols-3">
      <button v-for="feel in feels" :key="feel.id" class="button button-big" @click="judge(feel.id)">
        {{ feel.label }}<span class="text-sm font-normal text-quiet">{{ feel.what }}</span>
      </button>
    </div>
  </section>
</template>
