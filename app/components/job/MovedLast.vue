<script setup lang="ts">
import type { PlanMove } from '../../../core/job'
import { minutesText } from '../../words/durations'

/** What moved the finish last, by how much and why, in a line. */
const props = defineProps<{ move: PlanMove }>()
const t = useTerms()
const why = computed(() =>
  [props.move.words, props.move.because]
    .filter(Boolean)
    .map(each => t(each))
    .join(': '),
)
</script>

<template>
  <span data-testid="moved-last"
    ><span class="figure">{{ move.minutes < 0 ? '−' : '+' }}{{ minutesText(Math.abs(move.minutes)) }}</span
    >{{ ' ' }}{{ why }}{{ /[.!?]$/.test(why) ? '' : '.' }}</span
  >
</template>
