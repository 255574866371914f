<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { sheetNumber } from '../../../words/sheet-number'

/** Bell cut through, the converter as deep in it as was measured, and the three things it has to drop onto, one after another. */
const props = defineProps<{ values: SheetValues }>()
const mean = (id: string): number | null => {
  const value = props.values[id]
  const read = value?.kind === 'points' ? value.entries.flatMap(entry => entry.value ?? []) : []
  return read.length > 0 ? read.reduce((sum, each) => sum + each, 0) / read.length : null
}
const felt = computed(() => {
  const value = props.values.drops
  return value?.kind === 'points' ? value.entries.filter(entry => entry.value !== null).length : 0
})
/** The face of the bell; a millimetre is three pixels. */
const FACE = 208
const PX = 3
const gap = computed(() => {
  const [depth, stand] = [mean('depth'), mean('flexplate')]
  return depth === null || stand === null ? null : depth - stand
})
const pads = computed(() => FACE - Math.max(-14, Math.min(30, mean('depth') ?? 20)) * PX)
const plate = computed(() => FACE - Math.max(-14, Math.min(30, mean('flexplate') ?? 17)) * PX)
const isRight = computed(
  () =>
    gap.value !== null &&
    gap.value >= sheetNumber(props.values, 'low', 1.6) &&
    gap.value <= sheetNumber(props.values, 'high', 4.8),
)
const stages = ['turbine', 'stator', 'pump']
</script>

<template>
  <DrawingFrame
    label="Bell cut through with the converter as deep in it as measured, the flexplate, and the three drops: turbine, stator, pump"
  >
    <path :d="`M${FACE} 20 H150 L70 56 V194 L150 230 H${FACE} V218 H154 L84 188 V62 L154 32 H${FACE} z`" class="cut" />
    <path :d="`M14 112 H96 V138 H14 z`" fill="var(--paper)" />
    <path d="M70 96 H86 V154 H70 z" :fill="felt > 2 ? 'var(--good)' : 'var(--paper)'" />
    <path d="M14 106 H108 V112 H14 z M14 138 H108 V144 H14 z" :fill="felt > 1 ? 'var(--good)' : 'var(--paper)'" />
    <path d="M96 117 H124 V133 H96 z" :fill="felt > 0 ? 'var(--good)' : 'var(--paper)'" />
    <path
      :d="`M${pads} 46 C${pads - 72} 40 ${pads - 86} 84 ${pads - 84} 104 H${pads - 100} V146 H${pads - 84} C${pads - 86} 166 ${pads - 72} 210 ${pads} 204 z`"
      fill="none"
      stroke="var(--action)"
      stroke-width="3"
    />
    <line :x1="plate" :x2="plate" y1="40" y2="210" stroke-width="4" />
    <line :x1="FACE" :x2="FACE" y1="10" y2="240" class="quiet" stroke-dasharray="6 5" />
    <path :d="`M${FACE} 20 H306 V230 H${FACE}`" class="quiet" />
    <line
      :x1="pads"
      :x2="plate"
      y1="226"
      y2="226"
      :stroke="isRight ? 'var(--good)' : 'var(--danger)'"
      stroke-width="4"
    />
    <text x="266" y="120" text-anchor="middle">engine</text>
    <text v-for="(stage, index) in stages" :key="stage" x="224" :y="150 + index * 22" style="font-size: 15px">
      {{ felt > index ? '✓' : '·' }} {{ stage }}
    </text>
    <text :x="FACE + 4" y="16" style="font-size: 14px">face</text>
  </DrawingFrame>
</template>
