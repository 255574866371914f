<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { sheetNumber } from '../../../words/sheet-number'

/** The way of the pedal as a rule: free play, drive free, power take-off free, brake, stop. */
const props = defineProps<{ values: SheetValues }>()
const number = (id: string, usual: number) => sheetNumber(props.values, id, usual)
const end = computed(() => Math.max(1, number('end', 155)))
const brake = computed(() => number('brake', -1))
const marks = computed(() => [
  { name: 'free play', at: number('free', 28) },
  { name: 'drive free', at: number('drive', 85) },
  { name: 'take-off free', at: number('takeOff', 140) },
  ...(brake.value >= 0 ? [{ name: 'brake', at: brake.value }] : []),
  { name: 'stop', at: end.value },
])
const most = computed(() => Math.max(...marks.value.map(({ at }) => at)))
const y = (mm: number) => 24 + (190 * mm) / most.value
/** Words that would stand on each other move down. */
const rows = computed(() => {
  let last = -Infinity
  return [...marks.value]
    .sort((a, b) => a.at - b.at)
    .map(mark => {
      last = Math.max(y(mark.at) + 6, last + 19)
      return { ...mark, text: last }
    })
})
</script>

<template>
  <DrawingFrame label="The way of the pedal from top to stop, with free play, both clutches and the brake marked">
    <path d="M40 14 L96 14 L112 26" stroke-width="6" />
    <path :d="`M110 24 V${y(end)}`" class="measure" />
    <g v-for="mark in rows" :key="mark.name">
      <path :d="`M98 ${y(mark.at)} H124`" stroke-width="4" />
      <path :d="`M126 ${y(mark.at)} L148 ${mark.text - 6}`" class="quiet" />
      <text x="152" :y="mark.text">{{ mark.name }}</text>
    </g>
  </DrawingFrame>
</template>
