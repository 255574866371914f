<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { ringTurn } from '../../../../core/driveline'
import { sheetNumber } from '../../../words/sheet-number'

/** The teeth of the sprung ring outside, those of the tube inside, and the short way to where they slip in. */
const props = defineProps<{ values: SheetValues }>()
const number = (id: string, usual: number) => sheetNumber(props.values, id, usual)
/** More teeth than this cannot be seen at this size. */
const MOST = 60
const m = computed(() => ({
  ring: Math.max(3, Math.min(MOST, Math.round(number('ring', 30)))),
  tube: Math.max(3, Math.min(MOST, Math.round(number('tube', 30)))),
  offset: number('offset', 4),
}))
const turn = computed(() => {
  try {
    return ringTurn({ teethA: number('ring', 30), teethB: number('tube', 30), offsetDeg: m.value.offset })
  } catch {
    return { turnDeg: 0, direction: 'none' as const }
  }
})
const around = (teeth: number, from: number, to: number, turned: number) =>
  Array.from({ length: teeth }, (_, index) => {
    const angle = ((index * 360) / teeth + turned) * (Math.PI / 180)
    const [s, c] = [Math.sin(angle), -Math.cos(angle)]
    return `M${160 + from * s} ${124 + from * c} L${160 + to * s} ${124 + to * c}`
  }).join('')
const arc = computed(() => {
  const end = Math.max(-40, Math.min(40, turn.value.turnDeg * 4)) * (Math.PI / 180)
  return `M160 20 A104 104 0 0 ${end > 0 ? 1 : 0} ${160 + 104 * Math.sin(end)} ${124 - 104 * Math.cos(end)}`
})
</script>

<template>
  <DrawingFrame
    label="Teeth of the sprung ring and teeth of the tube; an arrow is the way it is turned against its spring"
  >
    <circle cx="160" cy="124" r="92" class="quiet" /><circle cx="160" cy="124" r="58" class="quiet" />
    <path :d="around(m.ring, 92, 80, m.offset)" stroke-width="4" />
    <path :d="around(m.tube, 76, 64, 180 / m.tube)" stroke="var(--attention)" stroke-width="3" />
    <path
      v-if="values.offset && turn.direction !== 'none'"
      :d="arc"
      stroke="var(--action)"
      stroke-width="4"
      marker-end="url(#bench-arrow)"
    />
    <text v-if="values.offset" x="160" y="130" text-anchor="middle">{{
      turn.direction === 'none' ? 'slips in' : `${Math.abs(turn.turnDeg).toFixed(1)}°`
    }}</text>
    <text x="160" y="246" text-anchor="middle" style="font-size: 15px">outside: the ring, inside: the tube</text>
  </DrawingFrame>
</template>
