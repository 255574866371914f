<script setup lang="ts">
import type { Place } from '../../../core/packs'
import type { hourMarks, milestoneMarks } from '../../drawing/plan-marks'

/** What is reached, above the lanes, and the hours below them. */
defineProps<{
  milestones: ReturnType<typeof milestoneMarks>
  marks: ReturnType<typeof hourMarks>
  x: (minutes: number) => number
  laneOf: (place: Place) => number
  axisTop: number
}>()
const t = useTerms()
</script>

<template>
  <g>
    <g v-for="mark in milestones" :key="mark.stepId">
      <line
        :x1="mark.x"
        :x2="mark.x"
        :y1="mark.row * 20 + 20"
        :y2="laneOf(mark.place) + 5"
        stroke="var(--ink)"
        stroke-width="1"
      />
      <text
        :x="mark.x + (mark.anchor === 'end' ? -4 : 4)"
        :y="mark.row * 20 + 17"
        :text-anchor="mark.anchor"
        font-size="15"
        font-weight="650"
        fill="var(--ink)"
        stroke="var(--paper)"
        stroke-width="4"
        paint-order="stroke"
      >
        {{ t(mark.label) }}
      </text>
    </g>
    <g v-for="mark in marks" :key="mark.minutes">
      <line :x1="x(mark.minutes)" :x2="x(mark.minutes)" :y1="axisTop" :y2="axisTop + 5" stroke="var(--line)" />
      <text
        :x="x(mark.minutes)"
        :y="axisTop + 21"
        :text-anchor="mark.anchor"
        class="figure"
        font-size="15"
        fill="var(--quiet)"
      >
        {{ mark.label }}
      </text>
    </g>
  </g>
</template>
