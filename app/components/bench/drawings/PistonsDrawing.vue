<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { pistonTurn } from '../../../../core/alignment'
import { sheetNumber } from '../../../words/sheet-number'

/** Pistons seen from their end: where each sensor sits, where each magnet points, and the short way back as an arc. */
const props = defineProps<{ values: SheetValues }>()
const RADIUS = 40
const centres = [
  [84, 66],
  [236, 66],
  [84, 182],
  [236, 182],
] as const
const points = (id: string) => {
  const value = props.values[id]
  return value?.kind === 'points' ? value.entries.map(entry => entry.value) : []
}
const tolerance = computed(() => sheetNumber(props.values, 'tolerance', 5))
const at = (x: number, y: number, degrees: number, radius: number) => {
  const turned = (degrees * Math.PI) / 180
  return [x + radius * Math.sin(turned), y - radius * Math.cos(turned)] as const
}
const pistons = computed(() =>
  centres.map(([x, y], index) => {
    const sensor = points('sensors')[index] ?? 0
    // What was measured last is what is true of it now.
    const magnet = points('after')[index] ?? points('magnets')[index] ?? null
    const turn = magnet === null ? 0 : pistonTurn({ magnetDeg: magnet, sensorDeg: sensor }).turnDeg
    const [fromX, fromY] = at(x, y, magnet ?? sensor, RADIUS - 12)
    const [toX, toY] = at(x, y, sensor, RADIUS - 12)
    return {
      x,
      y,
      sensor: at(x, y, sensor, RADIUS + 9),
      magnet: magnet === null ? null : at(x, y, magnet, RADIUS - 4),
      isOff: Math.abs(turn) > tolerance.value,
      arc: `M${fromX} ${fromY} A${RADIUS - 12} ${RADIUS - 12} 0 0 ${turn > 0 ? 1 : 0} ${toX} ${toY}`,
    }
  }),
)
</script>

<template>
  <DrawingFrame
    label="Four pistons from their end: a box is the sensor, the hand is the magnet; an arrow is the short way back for one that has turned"
  >
    <g v-for="(piston, index) in pistons" :key="index">
      <circle :cx="piston.x" :cy="piston.y" :r="RADIUS" class="cut" />
      <rect
        :x="piston.sensor[0] - 6"
        :y="piston.sensor[1] - 6"
        width="12"
        height="12"
        fill="var(--ink)"
        stroke="var(--ink)"
      />
      <path
        v-if="piston.isOff"
        :d="piston.arc"
        stroke="var(--action)"
        stroke-width="3"
        marker-end="url(#bench-arrow)"
      />
      <line
        v-if="piston.magnet"
        :x1="piston.x"
        :y1="piston.y"
        :x2="piston.magnet[0]"
        :y2="piston.magnet[1]"
        stroke-width="5"
        :stroke="piston.isOff ? 'var(--attention)' : 'var(--ink)'"
      />
      <text :x="piston.x - 62" :y="piston.y + 6" text-anchor="middle">{{ index + 1 }}</text>
    </g>
    <text x="160" y="246" text-anchor="middle" style="font-size: 15px">box: sensor, hand: magnet</text>
  </DrawingFrame>
</template>
