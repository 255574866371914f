<script setup lang="ts">
import { momentText } from '../../words/moments'

/** What this car has beyond its layout, and what of it it has not. */
const { state } = useJob()
const t = useTerms()
</script>

<template>
  <section v-if="state.added.length || state.leftOut.length" class="grid gap-2" aria-label="Beyond the layout">
    <h2 class="mt-3 border-b border-ink pb-1 text-lg">Beyond the layout</h2>
    <p v-for="step in state.added" :key="step.stepId"><span class="text-quiet">Added:</span> {{ t(step.title) }}</p>
    <p v-for="step in state.leftOut" :key="step.stepId">
      <span class="text-quiet">Left out:</span> {{ t(step.title) }}.
      <span class="text-quiet">{{ step.reason }}, {{ momentText(step.at) }}.</span>
    </p>
  </section>
</template>
