<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { scaleLinear, scaleTime } from 'd3-scale'
import { line } from 'd3-shape'
import type { BreakInReading, BreakInReport, BreakInRule } from '../../../core/job'
import { dayText } from '../../words/dates'

/** Distance over time, with the line it follows to its end. */
const props = defineProps<{
  rule: BreakInRule
  readings: BreakInReading[]
  report: BreakInReport
  distanceUnit?: 'km' | 'mi'
}>()
const units = useUnits()
const inUnit = computed(() => ((props.distanceUnit ?? units.preference.value.distance) === 'mi' ? 1 / 1.609344 : 1))
const [H, LEFT, FOOT] = [240, 56, 30]
/** As wide as its room, so that what is written keeps its size on a phone. */
const frame = useTemplateRef('frame')
const { width: roomWidth } = useElementSize(frame)
const W = computed(() => Math.min(680, Math.max(300, Math.round(roomWidth.value) || 640)))
const points = computed(() => [
  { at: new Date(props.rule.startAt), km: 0, hard: false },
  ...props.readings.map(reading => ({
    at: new Date(reading.at),
    km: reading.odometerKm - props.rule.startKm,
    hard: reading.hard ?? false,
  })),
])
const end = computed(() => (props.report.endsAt ? new Date(props.report.endsAt) : points.value.at(-1)!.at))
const latest = computed(() =>
  props.report.latestAt
    ? new Date(
        Math.min(
          Date.parse(props.report.latestAt),
          end.value.getTime() + 2 * (end.value.getTime() - points.value[0]!.at.getTime()),
        ),
      )
    : end.value,
)
const x = computed(() =>
  scaleTime(
    [
      points.value[0]!.at,
      new Date(Math.max(latest.value.getTime(), end.value.getTime(), points.value.at(-1)!.at.getTime())),
    ],
    [LEFT, W.value - 16],
  ),
)
const y = computed(() =>
  scaleLinear([0, Math.max(props.rule.distanceKm, ...points.value.map(point => point.km)) * 1.08], [H - FOOT, 12]),
)
const path = computed(
  () =>
    line<{ at: Date; km: number }>(
      point => x.value(point.at),
      point => y.value(point.km),
    )(points.value) ?? '',
)
const shown = (km: number) => Math.round(km * inUnit.value)
const spoken = computed(
  () =>
    `${shown(props.report.drivenKm)} of ${shown(props.rule.distanceKm)} ${inUnit.value === 1 ? 'km' : 'mi'} driven${props.report.endsAt ? `, over about ${dayText(end.value, 'long')}` : ''}`,
)
</script>

<template>
  <div ref="frame">
    <svg
      :viewBox="`0 0 ${W} ${H}`"
      role="img"
      :aria-label="spoken"
      class="w-full max-w-[42.5rem]"
      fill="none"
      data-testid="break-in-chart"
    >
      <line
        :x1="LEFT"
        :x2="W - 16"
        :y1="y(rule.distanceKm)"
        :y2="y(rule.distanceKm)"
        stroke="var(--good)"
        stroke-width="2"
        stroke-dasharray="7 5"
      />
      <text :x="LEFT - 8" :y="y(rule.distanceKm) + 5" text-anchor="end" class="figure text-sm" fill="var(--ink)">
        {{ shown(rule.distanceKm) }}
      </text>
      <line :x1="LEFT" :x2="W - 16" :y1="H - FOOT" :y2="H - FOOT" stroke="var(--ink)" stroke-width="2" />
      <line :x1="LEFT" :x2="LEFT" y1="8" :y2="H - FOOT" stroke="var(--ink)" stroke-width="2" />
      <g v-if="report.endsAt && !report.done">
        <polygon
          v-if="report.earliestAt && report.latestAt"
          :points="`${x(points.at(-1)!.at)},${y(points.at(-1)!.km)} ${x(new Date(report.earliestAt))},${y(rule.distanceKm)} ${x(latest)},${y(rule.distanceKm)}`"
          fill="var(--tint)"
        />
        <line
          :x1="x(points.at(-1)!.at)"
          :y1="y(points.at(-1)!.km)"
          :x2="x(end)"
          :y2="y(rule.distanceKm)"
          stroke="var(--action)"
          stroke-width="2.5"
          stroke-dasharray="3 5"
        />
        <line :x1="x(end)" :x2="x(end)" :y1="y(rule.distanceKm)" :y2="H - FOOT" stroke="var(--line)" />
        <text :x="Math.min(x(end), W - 50)" :y="H - 8" text-anchor="middle" class="text-sm" fill="var(--ink)">
          {{ dayText(end) }}
        </text>
      </g>
      <path :d="path" stroke="var(--action)" stroke-width="3.5" stroke-linejoin="round" />
      <g v-for="point in points" :key="point.at.toISOString()">
        <circle :cx="x(point.at)" :cy="y(point.km)" r="5" :fill="point.hard ? 'var(--danger)' : 'var(--action)'" />
      </g>
      <text :x="LEFT" :y="H - 8" text-anchor="start" class="text-sm" fill="var(--ink)">
        {{ dayText(points[0]!.at) }}
      </text>
    </svg>
  </div>
</template>
