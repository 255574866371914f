<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { sheetNumber } from '../../../words/sheet-number'

/** A pan with its overflow pipe, the fluid as high as its temperature makes it, and the window it is set in. */
const props = defineProps<{ values: SheetValues }>()
const temperature = computed(() => sheetNumber(props.values, 'temperature', 40))
const low = computed(() => sheetNumber(props.values, 'low', 35))
const high = computed(() => sheetNumber(props.values, 'high', 45))
/** A degree is two pixels on the scale beside the pan. */
const yOf = (degrees: number) => Math.max(24, Math.min(216, 216 - (degrees - 10) * 2))
const LIP = 128
const surface = computed(
  () => LIP - Math.max(-30, Math.min(34, (temperature.value - (low.value + high.value) / 2) * 0.9)),
)
const isIn = computed(() => temperature.value >= low.value && temperature.value <= high.value)
</script>

<template>
  <DrawingFrame
    label="Pan with its overflow pipe: fluid rises as it warms, and is level only inside its window of temperature"
  >
    <path :d="`M22 ${surface} H208 V196 H22 z`" fill="var(--tint)" stroke="none" />
    <path d="M16 66 V202 H104 M126 202 H214 V66" stroke-width="4" />
    <path :d="`M104 202 V${LIP} M126 202 V${LIP}`" stroke-width="4" />
    <line x1="22" x2="208" :y1="surface" :y2="surface" stroke="var(--action)" stroke-width="3" />
    <path v-if="surface < LIP" d="M115 206 V238" stroke="var(--action)" stroke-width="4" stroke-dasharray="3 8" />
    <line x1="262" x2="262" y1="24" y2="216" />
    <rect x="254" :y="yOf(high)" width="16" :height="yOf(low) - yOf(high)" fill="var(--good)" stroke="none" />
    <path :d="`M248 ${yOf(temperature)} l-14 -8 v16 z`" :fill="isIn ? 'var(--good)' : 'var(--danger)'" stroke="none" />
    <text x="278" :y="yOf(high) - 2" style="font-size: 15px">hot</text>
    <text x="278" :y="yOf(low) + 16" style="font-size: 15px">cold</text>
    <text x="70" y="58" text-anchor="middle">box</text>
    <text x="146" y="236" style="font-size: 15px">overflow</text>
  </DrawingFrame>
</template>
