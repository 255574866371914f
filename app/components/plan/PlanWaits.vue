<script setup lang="ts">
import type { Place } from '../../../core/packs'
import type { waitBars } from '../../drawing/plan-marks'

/** Waits under the lanes, each hung from the lane it begins in. */
defineProps<{
  waits: ReturnType<typeof waitBars>
  x: (minutes: number) => number
  laneOf: (place: Place) => number
  lane: number
  lanesBottom: number
}>()
</script>

<template>
  <g>
    <g v-for="wait in waits" :key="wait.key">
      <line
        :x1="x(wait.from)"
        :x2="x(wait.from)"
        :y1="laneOf(wait.place) + lane - 6"
        :y2="lanesBottom + 10 + wait.row * 24"
        stroke="var(--attention)"
        stroke-dasharray="2 3"
      />
      <rect
        :x="x(wait.from)"
        :y="lanesBottom + 10 + wait.row * 24"
        :width="Math.max(2, x(wait.to) - x(wait.from))"
        height="18"
        fill="var(--attention-tint)"
        stroke="var(--attention)"
      />
      <text
        :x="x(wait.to) - x(wait.from) > 64 ? x(wait.from) + 4 : x(wait.to) + 4"
        :y="lanesBottom + 24 + wait.row * 24"
        font-size="15"
        fill="var(--ink)"
      >
        {{ wait.label }}
      </text>
    </g>
  </g>
</template>
