<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { curveCardinalClosed, curveLinearClosed, lineRadial } from 'd3-shape'
import { clockOf, fitRunout } from '../../../core/alignment'
import type { DialReading } from '../../../core/alignment'

/** Dial readings round their circle, far enlarged: as read, the tilt that is in them, and the worst place. */
const props = defineProps<{ readings: DialReading[]; limitMm: number | null }>()
const units = useUnits()
const R = 150
const runout = computed(() => {
  try {
    return fitRunout(props.readings)
  } catch {
    return null
  }
})
const reach = computed(() => Math.max(props.limitMm ?? 0, runout.value?.totalMm ?? 0, 0.02) * 0.62)
const radius = computed(() => scaleLinear([-reach.value, reach.value], [R * 0.42, R * 0.98]))
const sorted = computed(() => [...props.readings].sort((a, b) => (a.angleDeg % 360) - (b.angleDeg % 360)))
const rad = (deg: number) => (deg * Math.PI) / 180
const asRead = computed(
  () =>
    lineRadial().curve(sorted.value.length > 4 ? curveCardinalClosed.tension(0.35) : curveLinearClosed)(
      sorted.value.map((reading): [number, number] => [
        rad(reading.angleDeg),
        radius.value(reading.heightMm - runout.value!.meanMm),
      ]),
    ) ?? '',
)
const tilt = computed(
  () =>
    lineRadial().curve(curveLinearClosed)(
      Array.from({ length: 72 }, (_, index): [number, number] => [
        rad(index * 5),
        radius.value(runout.value!.tiltMm * Math.cos(rad(index * 5 - runout.value!.tiltAtDeg))),
      ]),
    ) ?? '',
)
const at = (deg: number, distance: number) => ({ x: distance * Math.sin(rad(deg)), y: -distance * Math.cos(rad(deg)) })
const band = computed(() =>
  props.limitMm === null ? null : { inner: radius.value(-props.limitMm / 2), outer: radius.value(props.limitMm / 2) },
)
const dots = computed(() =>
  props.readings.map(reading => ({
    ...reading,
    ...at(reading.angleDeg, radius.value(reading.heightMm - runout.value!.meanMm)),
  })),
)
const worst = computed(() => at(runout.value!.highestAtDeg, R * 0.98))
const words = computed(() =>
  runout.value
    ? `Runout ${units.measure(runout.value.totalMm, 'mm', 2)}, of it tilt ${units.measure(runout.value.tiltMm * 2, 'mm', 2)} highest at ${clockOf(runout.value.tiltAtDeg)}, warp ${units.measure(runout.value.warpMm, 'mm', 2)}. Highest place at ${Math.round(runout.value.highestAtDeg)} degrees.`
    : '',
)
</script>

<template>
  <figure v-if="runout" data-testid="polar">
    <svg viewBox="-190 -178 380 356" role="img" :aria-label="words" fill="none" class="w-full">
      <path
        v-if="band"
        :d="`M0 ${-band.outer} A${band.outer} ${band.outer} 0 1 1 -0.01 ${-band.outer} Z M0 ${-band.inner} A${band.inner} ${band.inner} 0 1 0 0.01 ${-band.inner} Z`"
        fill="var(--tint)"
        fill-rule="evenodd"
      />
      <circle :r="radius(0)" stroke="var(--line)" stroke-width="1.5" stroke-dasharray="4 5" />
      <g v-for="deg in [0, 90, 180, 270]" :key="deg">
        <line
          :x1="at(deg, R * 0.36).x"
          :y1="at(deg, R * 0.36).y"
          :x2="at(deg, R).x"
          :y2="at(deg, R).y"
          stroke="var(--rule)"
        />
        <text
          :x="at(deg, R + 18).x"
          :y="at(deg, R + 18).y + 6"
          text-anchor="middle"
          class="figure"
          font-size="16"
          fill="var(--quiet)"
        >
          {{ deg }}°
        </text>
      </g>
      <path :d="tilt" stroke="var(--attention)" stroke-width="2.5" stroke-dasharray="9 6" />
      <path :d="asRead" stroke="var(--action)" stroke-width="3.5" />
      <circle v-for="dot in dots" :key="dot.angleDeg" :cx="dot.x" :cy="dot.y" r="5.5" fill="var(--action)" />
      <g v-if="runout.totalMm > 0">
        <path
          d="M0 -4 l9 -17 h-18 z"
          fill="var(--danger)"
          :transform="`translate(${worst.x} ${worst.y}) rotate(${runout.highestAtDeg})`"
        />
      </g>
      <text text-anchor="middle" y="-4" class="figure" font-size="30" font-weight="700" fill="var(--ink)">
        {{ units.preference.value.length === 'mm' ? runout.totalMm.toFixed(2) : (runout.totalMm / 25.4).toFixed(3) }}
      </text>
      <text text-anchor="middle" y="20" font-size="16" fill="var(--quiet)">
        {{ units.preference.value.length }} in all
      </text>
    </svg>
    <figcaption class="mt-1 flex flex-wrap gap-x-4 gap-y-1 text-sm text-quiet">
      <span><span class="font-bold text-action">━</span> as read</span
      ><span><span class="font-bold text-attention">╌</span> tilt alone</span
      ><span><span class="font-bold text-danger">▼</span> highest</span
      ><span v-if="limitMm !== null">shaded: allowed</span>
    </figcaption>
  </figure>
</template>
