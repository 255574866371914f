<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { line as linePath } from 'd3-shape'
import type { SheetValues } from '../../../../core/bench'
import { shaftLine } from '../../../../core/driveline'
import { sheetNumber } from '../../../words/sheet-number'

/** The shaft line in side view, its angles drawn larger, and the ripple it leaves through one turn. */
const props = defineProps<{ values: SheetValues }>()
const number = (id: string, usual: number) => sheetNumber(props.values, id, usual)
const twoPieces = computed(() => props.values.pieces?.kind === 'choice' && props.values.pieces.answer === 'two')
const members = computed(() =>
  (twoPieces.value ? (['box', 'shaft', 'rear', 'axle'] as const) : (['box', 'shaft', 'axle'] as const)).map(id => ({
    id,
    pitchDeg: number(id, { box: 2, shaft: 4, rear: 5, axle: 2 }[id]),
    yawDeg: number(`${id}Aside`, 0),
  })),
)
const shafts = computed(() => {
  try {
    return shaftLine(members.value)
  } catch {
    return null
  }
})
const lengths = computed(() => (twoPieces.value ? [60, 85, 85, 50] : [70, 150, 60]))
const points = computed(() =>
  members.value.reduce<[number, number][]>(
    (list, member, index) => {
      const [x, y] = list.at(-1)!
      const angle = (member.pitchDeg * 3.5 * Math.PI) / 180
      return [...list, [x + lengths.value[index]! * Math.cos(angle), y + lengths.value[index]! * Math.sin(angle)]]
    },
    [[20, 36]],
  ),
)
const ripple = computed(() => {
  if (!shafts.value) return ''
  const most = Math.max(0.005, ...shafts.value.ripple.map(point => Math.abs(point.ratio - 1)))
  const [x, y] = [scaleLinear([0, 360], [20, 300]), scaleLinear([-most, most], [238, 172])]
  return (
    linePath<{ shaftAngleDeg: number; ratio: number }>(
      point => x(point.shaftAngleDeg),
      point => y(point.ratio - 1),
    )(shafts.value.ripple) ?? ''
  )
})
</script>

<template>
  <DrawingFrame
    label="Shaft line in side view with its angles drawn larger, and under it the speed ripple through one turn"
  >
    <path
      :d="`M${points.map(point => point.map(each => each.toFixed(1)).join(' ')).join(' L')}`"
      stroke-width="7"
      stroke="var(--line)"
    />
    <circle
      v-for="(point, index) in points.slice(1, -1)"
      :key="index"
      :cx="point[0]"
      :cy="point[1]"
      r="9"
      fill="var(--action)"
      stroke="none"
    />
    <text
      v-for="(joint, index) in shafts?.joints ?? []"
      :key="joint.rear"
      :x="points[index + 1]![0]"
      :y="points[index + 1]![1] + (index % 2 === 0 ? 30 : -18)"
      text-anchor="middle"
      >{{ joint.angleDeg.toFixed(1) }}°</text
    >
    <rect
      v-if="twoPieces"
      :x="points[2]![0] - 16"
      :y="points[2]![1] - 14"
      width="8"
      height="28"
      fill="var(--ink)"
      stroke="none"
    />
    <text x="20" y="20">box</text><text x="300" y="20" text-anchor="end">axle</text>
    <line x1="20" x2="300" y1="205" y2="205" class="quiet" stroke-dasharray="4 4" />
    <path :d="ripple" stroke="var(--attention)" stroke-width="3" />
    <text x="20" y="166">speed through one turn</text>
  </DrawingFrame>
</template>
