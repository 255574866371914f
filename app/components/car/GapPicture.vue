<script setup lang="ts">
import { clockOf } from '../../../core/alignment'
import type { FaceGap } from '../../../core/alignment'

/** The bell from the box end with the gap round it, far enlarged: where it was measured, the plane through it, the widest place. */
const props = defineProps<{ readings: { angleDeg: number; gapMm: number }[]; found: FaceGap }>()
const units = useUnits()
const R = 96
const rad = (deg: number) => (deg * Math.PI) / 180
const most = computed(() => Math.max(0.5, props.found.widestMm, ...props.readings.map(reading => reading.gapMm)))
const at = (deg: number, distance: number) => ({ x: distance * Math.sin(rad(deg)), y: -distance * Math.cos(rad(deg)) })
const outer = (gapMm: number) => R + (Math.max(0, gapMm) / most.value) * 46
const band = computed(() => {
  const { meanMm, widestMm, widestAtDeg } = props.found
  const points = Array.from({ length: 73 }, (_, index) => index * 5).map(deg =>
    at(deg, outer(meanMm + (widestMm - meanMm) * Math.cos(rad(deg - widestAtDeg)))),
  )
  return `M${points.map(point => `${point.x.toFixed(1)} ${point.y.toFixed(1)}`).join(' L')} Z M${R} 0 A${R} ${R} 0 1 0 ${-R} 0 A${R} ${R} 0 1 0 ${R} 0 Z`
})
const words = computed(() =>
  props.found.closed
    ? 'The faces meet all round.'
    : `Gap ${units.measure(props.found.widestMm, 'mm', 1)} at its widest, at ${clockOf(props.found.widestAtDeg)}; the box hangs ${props.found.tiltDeg.toFixed(2)} degrees askew.`,
)
</script>

<template>
  <svg viewBox="-212 -176 424 352" role="img" :aria-label="words" fill="none" class="w-full" data-testid="gap-picture">
    <path
      v-if="!found.closed"
      :d="band"
      fill="var(--attention)"
      fill-opacity="0.35"
      fill-rule="evenodd"
      stroke="var(--attention)"
      stroke-width="2"
    />
    <circle :r="R" stroke="var(--ink)" stroke-width="3" />
    <circle :r="R - 16" stroke="var(--line)" stroke-width="1.5" />
    <g v-for="reading in readings" :key="reading.angleDeg">
      <circle
        :cx="at(reading.angleDeg, outer(reading.gapMm)).x"
        :cy="at(reading.angleDeg, outer(reading.gapMm)).y"
        r="6"
        fill="var(--action)"
      />
      <text
        :x="at(reading.angleDeg, 60).x"
        :y="at(reading.angleDeg, 60).y + 6"
        text-anchor="middle"
        class="figure"
        font-size="18"
        fill="var(--ink)"
      >
        {{ reading.gapMm }}
      </text>
    </g>
    <text
      v-for="deg in [0, 90, 180, 270]"
      :key="deg"
      :x="at(deg, deg % 180 === 0 ? 162 : 180).x"
      :y="at(deg, 162).y + 6"
      text-anchor="middle"
      font-size="17"
      fill="var(--quiet)"
    >
      {{ { 0: 'top', 90: 'right', 180: 'bottom', 270: 'left' }[deg] }}
    </text>
  </svg>
</template>
