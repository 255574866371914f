<script setup lang="ts">
import { momentText } from '../../words/moments'
import { oddsText } from '../../words/odds'

/** When it will be done: even odds, and the time one can promise. */
const { evenOdds, eightInTen, beforeDark, from } = useFinishTimes()
</script>

<template>
  <p class="text-lg" data-testid="finish-odds" aria-live="polite">
    <template v-if="evenOdds && eightInTen">
      Even odds <span class="figure font-bold">{{ momentText(evenOdds, from) }}</span>, eight in ten
      <span class="figure font-bold">{{ momentText(eightInTen, from) }}</span>.
      <span v-if="beforeDark" class="text-quiet"
        >Before dark, <span class="figure">{{ momentText(beforeDark.at, from) }}</span>:
        {{ oddsText(beforeDark.odds) }}.</span
      >
    </template>
    <span v-else class="text-quiet">Working out when it will be done</span>
  </p>
</template>
