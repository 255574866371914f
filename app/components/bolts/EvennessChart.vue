<script setup lang="ts">
import { max } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { crossPattern, drawDown } from '../../../core/fasteners'

/** Why the pattern: how a typical sprung cover tilts when each bolt goes straight to its figure, and when they go down in stages. */
const props = defineProps<{ boltCount: number }>()
const W = 400
const H = 170
const BASE = H - 24
const LEFT = 34
/** A cover of the usual kind; not this one. */
const cover = {
  radiusMm: 112,
  gapMm: 2.5,
  springNPerMm: 900,
  seatNPerMm: 120_000,
  rimNPerMm: 40_000,
  boltNPerMm: 180_000,
}
const FULL_N = 10_000
const STAGES_N = [400, 800, 1200, 1600, 2000, 2600, 5000, FULL_N]
const curves = computed(() => {
  const part = { ...cover, boltCount: props.boltCount, springNPerMm: (cover.springNPerMm * 6) / props.boltCount }
  const round = Array.from({ length: props.boltCount }, (_, bolt) => ({ bolt, preloadN: FULL_N }))
  const staged = STAGES_N.flatMap(preloadN =>
    crossPattern(props.boltCount).map(bolt => ({ bolt, preloadN: (preloadN * 6) / props.boltCount })),
  )
  return [
    { id: 'one', name: 'one bolt at a time', dash: '7 5', states: drawDown(part, round) },
    { id: 'staged', name: 'crosswise, in stages', dash: '', states: drawDown(part, staged) },
  ].map(({ states, ...curve }) => ({
    ...curve,
    tilts: [0, ...states.map(state => state.tiltMm)],
    worst: max(states, state => state.tiltMm) ?? 0,
  }))
})
const y = computed(() => scaleLinear([0, Math.max(...curves.value.map(curve => curve.worst)) * 1.1], [BASE, 6]))
const pathOf = (tilts: number[]) =>
  line<number>(
    (_, index) => LEFT + (index / (tilts.length - 1)) * (W - LEFT - 4),
    tilt => y.value(tilt),
  )(tilts) ?? ''
const units = useUnits()
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${W} ${H}`"
      role="img"
      :aria-label="`Tilt of a typical cover: at worst ${units.measure(curves[0]!.worst, 'mm', 1)} one bolt at a time, ${units.measure(curves[1]!.worst, 'mm', 1)} in stages`"
      fill="none"
      class="w-full"
    >
      <line :x1="LEFT" :x2="W" :y1="BASE" :y2="BASE" stroke="var(--ink)" stroke-width="1.5" />
      <g v-for="tick in y.ticks(3)" :key="tick">
        <line :x1="LEFT" :x2="W" :y1="y(tick)" :y2="y(tick)" stroke="var(--rule)" />
        <text :x="LEFT - 5" :y="y(tick) + 5" text-anchor="end" font-size="15" class="figure" fill="var(--quiet)">
          {{ tick }}
        </text>
      </g>
      <path
        v-for="curve in curves"
        :key="curve.id"
        :d="pathOf(curve.tilts)"
        :stroke="curve.id === 'staged' ? 'var(--action)' : 'var(--danger)'"
        stroke-width="3"
        :stroke-dasharray="curve.dash"
      />
      <text :x="LEFT" :y="H - 5" font-size="15" fill="var(--quiet)">mm of tilt, from the first turn to the last</text>
    </svg>
    <figcaption class="text-sm">
      <span class="text-danger">╌╌</span> One bolt at a time tilts a typical cover by
      <span class="figure font-bold">{{ units.measure(curves[0]!.worst, 'mm', 1) }}</span>;
      <span class="text-action">━━</span> crosswise in stages by
      <span class="figure font-bold">{{ units.measure(curves[1]!.worst, 'mm', 1) }}</span>. Tilt bends its straps, and
      the disc is nipped on one side.
    </figcaption>
  </figure>
</template>
