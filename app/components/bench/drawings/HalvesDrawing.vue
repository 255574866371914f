<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { sheetNumber } from '../../../words/sheet-number'

/** A tractor parted in the middle from the side, to scale along it: where each half balances and where it is supported. */
const props = defineProps<{ values: SheetValues }>()
const number = (id: string, usual: number) => sheetNumber(props.values, id, usual)
const m = computed(() => ({
  frontBalance: number('frontBalance', 400),
  frontSupport: number('frontSupport', 1150),
  rearBalance: number('rearBalance', 2000),
  rearSupport: number('rearSupport', 1500),
  wheelbase: number('wheelbase', 2250),
}))
const scale = computed(() => 200 / Math.max(m.value.wheelbase, 500))
const front = (mm: number) => 34 + mm * scale.value
const rear = (mm: number) => 66 + mm * scale.value
</script>

<template>
  <DrawingFrame
    label="Two halves of a tractor from the side: a cross where each balances, a block where each is supported, wedges at the front axle"
  >
    <line x1="6" x2="314" y1="206" y2="206" stroke-width="3" />
    <path :d="`M14 92 H${front(m.frontSupport + 40)} V160 H44 L14 146 z`" class="cut" />
    <path
      :d="`M${rear(m.rearSupport - 40)} 100 H${rear(m.wheelbase)} L300 84 V150 H${rear(m.rearSupport - 40)} z`"
      class="cut"
    />
    <circle :cx="front(0)" cy="178" r="28" fill="var(--paper)" />
    <circle :cx="rear(m.wheelbase)" cy="156" r="50" fill="var(--paper)" />
    <path :d="`M${front(0) - 16} 158 l16 -8 l16 8 z`" fill="var(--attention)" stroke="var(--attention)" />
    <g v-for="(x, index) in [front(m.frontSupport), rear(m.rearSupport)]" :key="index">
      <path :d="`M${x - 14} 206 L${x - 6} 162 h12 L${x + 14} 206 z`" stroke="var(--action)" fill="var(--tint)" />
    </g>
    <g v-for="(x, index) in [front(m.frontBalance), rear(m.rearBalance)]" :key="`b${index}`">
      <path :d="`M${x} 60 V128`" class="measure" style="marker-start: none" />
      <text :x="x" y="52" text-anchor="middle">{{ index === 0 ? 'front' : 'rear' }}</text>
    </g>
    <text x="160" y="236" text-anchor="middle" style="font-size: 15px">arrow: where a half balances</text>
  </DrawingFrame>
</template>
