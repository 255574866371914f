<script setup lang="ts">
import { begun } from '../../../core/job/chapters/bleeding/ways'
import type { BleedRound } from '../../../core/job'
import type { BleedWay } from '../../../core/packs'

/** Every round so far: what was counted, seen and felt. */
const props = defineProps<{ rounds: BleedRound[]; ways: BleedWay[] }>()
const units = useUnits()
const counted = (round: BleedRound) =>
  round.portions > 0
    ? `${Math.round(Math.abs(round.movedMl))} ml`
    : `${round.strokes} ${round.strokes === 1 ? 'stroke' : 'strokes'}`
const several = computed(() => new Set(props.rounds.map(round => round.way)).size > 1)
const over = computed(() =>
  props.rounds
    .map((round, index) => ({ round, number: index + 1 }))
    .filter(({ round }, index, all) => round.feel || (begun(round) && index < all.length - 1)),
)
const seen = ({ bubbles, colour, lostMm }: BleedRound) =>
  [
    bubbles ? { none: 'no bubbles', few: 'a few bubbles', many: 'many bubbles' }[bubbles] : '',
    colour ? `${colour} fluid` : '',
    lostMm === undefined ? '' : `${units.reading(lostMm, 'mm')} lost`,
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <ol v-if="over.length" class="ruled mt-5" aria-label="Rounds so far">
    <li v-for="{ round, number } in over" :key="number" class="flex flex-wrap justify-between gap-x-4 py-2">
      <span
        >Round {{ number }}: <span class="figure">{{ counted(round) }}</span><template v-if="round.restSince"
          >, rested</template
        ><template v-if="several"
          >, {{ (ways.find(way => way.id === round.way)?.title ?? 'pump and rest').toLowerCase() }}</template
        ><span v-if="seen(round)" class="text-quiet">; {{ seen(round) }}</span></span
      >
      <span class="font-semibold">{{ round.feel ?? 'broken off' }}</span>
    </li>
  </ol>
</template>
