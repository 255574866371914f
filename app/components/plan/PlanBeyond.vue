<script setup lang="ts">
import { stepTitle } from '../../../core/job'
import { momentText } from '../../words/moments'

/** What this car has beyond its layout, and what of it it has not. */
const { state } = useJob()
const t = useTerms()
const titleOf = (id: string) => t(stepTitle(state.value.procedure!, state.value.plan!, id))
</script>

<template>
  <section
    v-if="state.added.length || state.leftOut.length || state.again.length"
    class="grid gap-2"
    aria-label="Beyond the layout"
  >
    <h2 class="mt-3 border-b border-ink pb-1 text-lg">Beyond the layout</h2>
    <p v-for="step in state.added" :key="step.stepId"><span class="text-quiet">Added:</span> {{ t(step.title) }}</p>
    <p v-for="step in state.leftOut" :key="step.stepId">
      <span class="text-quiet">Left out:</span> {{ t(step.title) }}.
      <span class="text-quiet">{{ step.reason }}, {{ momentText(step.at) }}.</span>
    </p>
    <p v-for="entry in state.again" :key="entry.againId">
      <span class="text-quiet">Apart again:</span> {{ titleOf(entry.stepId) }}. {{ entry.because }}.
      <span class="text-quiet"
        >{{ entry.opens.length }} off once more, {{ entry.repeats.length }} done again<template v-if="entry.away"
          >; to {{ entry.away.to
          }}<template v-if="entry.away.until">, back {{ momentText(entry.away.until) }}</template></template
        >.</span
      >
    </p>
  </section>
</template>
