<script setup lang="ts">
import { momentText } from '../../words/moments'
import { oddsText } from '../../words/odds'

/** When it will be done: even odds, and the time one can promise. */
const median = defineModel<number | null>('median', { default: null })
const { evenOdds, eightInTen, beforeDark, medianMinutes, from, because } = useFinishTimes()
watch(medianMinutes, minutes => (median.value = minutes))
</script>

<template>
  <!-- Room for what it will say, so that nothing below moves from under a finger when it does. -->
  <p class="min-h-[2lh] text-lg print:min-h-0" data-testid="finish-odds" aria-live="polite">
    <template v-if="evenOdds && eightInTen">
      Even odds <span class="figure font-bold">{{ momentText(evenOdds, from) }}</span>, eight in ten
      <span class="figure font-bold">{{ momentText(eightInTen, from) }}</span>,
      <span class="text-quiet print:hidden" data-testid="odds-because">{{ because }}.</span>
      <span v-if="beforeDark" class="text-quiet"
        >{{ ' ' }}Before dark, <span class="figure">{{ momentText(beforeDark.at, from) }}</span>:
        {{ oddsText(beforeDark.odds) }}.</span
      >
    </template>
    <span v-else class="text-quiet">Working out when it will be done</span>
  </p>
</template>
