<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'

/** The face of a valve body under a straight edge, with the six places where the feeler goes in. */
const props = defineProps<{ values: SheetValues }>()
const places = [
  [56, 66],
  [160, 66],
  [264, 66],
  [56, 174],
  [160, 174],
  [264, 174],
] as const
const gaps = computed(() => {
  const value = props.values.gaps
  return value?.kind === 'points' ? value.entries.map(entry => entry.value) : []
})
const widest = computed(() => Math.max(0.01, ...gaps.value.map(gap => gap ?? 0)))
</script>

<template>
  <DrawingFrame
    label="Face of the valve body with six numbered places under the straight edge; a larger ring is a wider gap"
  >
    <path d="M24 40 H120 L136 26 H296 V206 H214 L196 222 H24 z" class="cut" />
    <path d="M70 96 H132 V146 H70 z M150 100 H210 M150 120 H228 M150 140 H196 M226 96 H272 V146 H226 z" />
    <path d="M10 120 H310 V132 H10 z" fill="var(--paper)" stroke="var(--action)" stroke-width="3" />
    <g v-for="([x, y], index) in places" :key="index">
      <circle :cx="x" :cy="y" :r="14 + 14 * ((gaps[index] ?? 0) / widest)" stroke="var(--action)" fill="var(--paper)" />
      <text :x="x" :y="y + 6" text-anchor="middle">{{ index + 1 }}</text>
    </g>
    <text x="160" y="246" text-anchor="middle" style="font-size: 15px">along, across, corner to corner</text>
  </DrawingFrame>
</template>
