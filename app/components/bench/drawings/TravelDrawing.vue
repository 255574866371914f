<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { sheetNumber } from '../../../words/sheet-number'

/** The travel of the slave as a rule: its window, where it was taught with a new disc, where it closes now, where it opens. */
const props = defineProps<{ values: SheetValues }>()
const number = (id: string, usual: number) => sheetNumber(props.values, id, usual)
const m = computed(() => ({
  taught: number('taught', 11),
  travel: number('travel', 15),
  open: number('open', 30),
  low: number('low', 8),
  high: number('high', 24),
}))
const most = computed(() => Math.max(1, m.value.taught, m.value.travel, m.value.open, m.value.high) * 1.05)
const x = (mm: number) => 24 + (272 * mm) / most.value
</script>

<template>
  <DrawingFrame label="The travel of the slave as a rule: window, taught with a new disc, closed now, open">
    <path :d="`M${x(m.low)} 108 H${x(m.high)} V142 H${x(m.low)} z`" class="cut" />
    <line x1="24" x2="300" y1="125" y2="125" stroke-width="4" />
    <path :d="`M${x(m.taught)} 86 V142`" stroke-width="4" />
    <text :x="x(m.taught)" y="78" text-anchor="middle">taught new</text>
    <path :d="`M${x(m.travel)} 108 V166`" stroke="var(--action)" stroke-width="5" />
    <text :x="x(m.travel)" y="188" text-anchor="middle">closed now</text>
    <path :d="`M${x(m.open)} 108 V142`" stroke-width="4" />
    <text :x="Math.min(290, x(m.open))" y="100" text-anchor="middle">open</text>
    <line
      v-if="Math.abs(m.travel - m.taught) > 0.2"
      :x1="x(m.taught)"
      :x2="x(m.travel)"
      y1="206"
      y2="206"
      class="measure"
    />
    <text x="160" y="240" text-anchor="middle" style="font-size: 15px">hatched: where it may close</text>
  </DrawingFrame>
</template>
