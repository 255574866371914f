<script setup lang="ts">
import { stepTitle } from '../../../core/job'
import { momentText } from '../../words/moments'

/** What this car has beyond its layout, and what of it it has not. */
const { state, path } = useJob()
const t = useTerms()
const titleOf = (id: string) => t(stepTitle(state.value.procedure!, state.value.plan!, id))
const others = computed(() => Object.keys(state.value.takenOver).map(titleOf))
</script>

<template>
  <section
    v-if="state.added.length || state.split.length || state.leftOut.length || state.again.length || others.length"
    class="grid gap-2"
    aria-label="Beyond the layout"
  >
    <h2 class="mt-3 border-b border-ink pb-1 text-lg">Beyond the layout</h2>
    <p v-for="step in state.added" :key="step.stepId"><span class="text-quiet">Added:</span> {{ t(step.title) }}</p>
    <p v-for="step in state.split" :key="step.firstId">
      <span class="text-quiet">In two:</span> {{ t(step.first.title) }}; {{ t(step.rest.title) }}
    </p>
    <p v-for="step in state.leftOut" :key="step.stepId">
      <span class="text-quiet">Left out:</span> {{ t(step.title) }}.
      <span class="text-quiet">{{ step.reason }}, {{ momentText(step.at) }}.</span>
    </p>
    <p v-if="others.length">
      <span class="text-quiet">By others:</span> {{ others.length === 1 ? others[0] : `${others.length} steps` }}.
      <NuxtLink no-prefetch class="underline" :to="path('car/apart')">What of it is here</NuxtLink>
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
