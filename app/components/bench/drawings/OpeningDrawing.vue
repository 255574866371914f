<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { sheetNumber } from '../../../words/sheet-number'

/** The ring of converter bolts as it is seen through the opening: one at a time, the crank turned by hand. */
const props = defineProps<{ values: SheetValues }>()
const count = computed(() => Math.max(3, Math.min(12, Math.round(sheetNumber(props.values, 'bolts', 6)))))
const done = computed(() => Math.max(0, Math.min(count.value, Math.round(sheetNumber(props.values, 'done', 0)))))
const bolts = computed(() =>
  Array.from({ length: count.value }, (_, index) => {
    const angle = Math.PI / 2 + (index - done.value) * ((2 * Math.PI) / count.value)
    return { index, x: 160 + 86 * Math.cos(angle), y: 112 + 86 * Math.sin(angle), isDone: index < done.value }
  }),
)
</script>

<template>
  <DrawingFrame :label="`Ring of ${count} converter bolts, ${done} done, one of them in the opening at the bottom`">
    <circle cx="160" cy="112" r="106" class="cut" />
    <circle cx="160" cy="112" r="52" fill="var(--paper)" />
    <path d="M120 178 H200 V240 H120 z" fill="var(--paper)" stroke="var(--action)" stroke-width="3" />
    <g v-for="bolt in bolts" :key="bolt.index">
      <circle :cx="bolt.x" :cy="bolt.y" r="13" :fill="bolt.isDone ? 'var(--good)' : 'var(--paper)'" />
      <text
        :x="bolt.x"
        :y="bolt.y + 5"
        text-anchor="middle"
        style="font-size: 15px"
        :style="{ fill: bolt.isDone ? 'var(--paper)' : 'var(--ink)', strokeWidth: 0 }"
      >
        {{ bolt.index + 1 }}
      </text>
    </g>
    <path d="M226 36 A100 100 0 0 1 262 108" class="measure" style="marker-start: none" />
    <text x="296" y="66" text-anchor="middle" style="font-size: 15px">crank</text>
    <text x="160" y="236" text-anchor="middle" style="font-size: 15px">opening</text>
    <text x="160" y="118" text-anchor="middle">{{ done }} / {{ count }}</text>
  </DrawingFrame>
</template>
