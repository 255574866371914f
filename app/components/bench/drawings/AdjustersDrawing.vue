<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { sheetNumber } from '../../../words/sheet-number'

/** The gap at every adjuster as a bar between the ends of its window. */
const props = defineProps<{ values: SheetValues }>()
const points = (id: string) => {
  const value = props.values[id]
  return value?.kind === 'points' ? value.entries.map(entry => entry.value) : []
}
const low = computed(() => sheetNumber(props.values, 'low', 1.016))
const high = computed(() => sheetNumber(props.values, 'high', 1.778))
const gaps = computed(() => {
  const after = points('after')
  const measured = after.some(gap => gap !== null) ? after : points('gaps')
  return measured.length > 0 ? measured.slice(0, 6) : [null, null, null]
})
const most = computed(() => Math.max(high.value * 1.4, ...gaps.value.map(gap => gap ?? 0)))
const y = (mm: number) => 190 - (150 * mm) / most.value
const x = (index: number) => 60 + ((index + 0.5) * 230) / gaps.value.length
</script>

<template>
  <DrawingFrame label="The gap at every adjuster as a bar; two lines are the window it should end in">
    <line x1="50" x2="300" y1="190" y2="190" stroke-width="3" />
    <path :d="`M50 ${y(low)} H300 M50 ${y(high)} H300`" stroke="var(--good)" stroke-dasharray="7 5" />
    <text x="44" :y="y(low) + 6" text-anchor="end">least</text>
    <text x="44" :y="y(high) + 6" text-anchor="end">most</text>
    <g v-for="(gap, index) in gaps" :key="index">
      <rect
        v-if="gap !== null"
        :x="x(index) - 16"
        :y="y(gap)"
        width="32"
        :height="190 - y(gap)"
        :class="gap < low || gap > high ? '' : 'cut'"
        :fill="gap < low || gap > high ? 'var(--attention)' : undefined"
      />
      <path v-else :d="`M${x(index) - 16} 190 V120 H${x(index) + 16} V190`" class="quiet" stroke-dasharray="4 4" />
      <text :x="x(index)" y="214" text-anchor="middle">{{ index + 1 }}</text>
    </g>
    <text x="175" y="242" text-anchor="middle" style="font-size: 15px">feeler at each adjuster, levers settled</text>
  </DrawingFrame>
</template>
