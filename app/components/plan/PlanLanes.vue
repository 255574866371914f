<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { scaleLinear } from 'd3-scale'
import { places } from '../../../core/packs'
import type { Plan } from '../../../core/sequence'
import { placeNames } from '../../lib/places'

/** Time to the right, a lane for each place, and the ground line that rises where the car is up. */
const props = defineProps<{ plan: Plan, done: Record<string, unknown>, asked: string | null, next: string | null }>()
const emit = defineEmits<{ ask: [stepId: string] }>()

const frame = useTemplateRef('frame')
const { width } = useElementSize(frame)
const LANE = 34
const LABEL = 74
const lanesHeight = LANE * places.length
const height = lanesHeight + 62
const scale = computed(() => scaleLinear([0, Math.max(1, props.plan.totals.minutes)], [LABEL, Math.max(LABEL + 40, width.value - 4)]))
const laneOf = (place: Plan['trips'][number]['place']) => places.indexOf(place) * LANE
const hours = computed(() => Array.from({ length: Math.floor(props.plan.totals.minutes / 60) + 1 }, (_, hour) => hour))
const everyHours = computed(() => scale.value(60) - scale.value(0) < 34 ? 2 : 1)
const LOW = lanesHeight + 30
const HIGH = lanesHeight + 12

const groundLine = computed(() => {
  const points: [number, number][] = [[0, LOW]]
  let level = LOW
  for (const step of props.plan.steps) {
    if (step.kind === 'operation') continue
    const to = step.kind === 'raise' ? HIGH : LOW
    points.push([step.startMinutes, level], [step.finishMinutes, to])
    level = to
  }
  points.push([props.plan.totals.minutes, level])
  return points.map(([minutes, y], index) => `${index ? 'L' : 'M'}${scale.value(minutes)} ${y}`).join('')
})
const waits = computed(() => props.plan.steps.filter(step => step.waitMinutes > 0))
const doneUpTo = computed(() => props.plan.steps.findLast(step => step.id in props.done)?.finishMinutes ?? 0)
</script>

<template>
  <div ref="frame" class="w-full">
    <svg v-if="width > 0" :width="width" :height="height" role="img" :aria-label="`Plan over ${Math.round(plan.totals.minutes)} minutes in ${plan.trips.length} trips`">
      <g v-for="place in places" :key="place">
        <line x1="0" :x2="width" :y1="laneOf(place) + LANE" :y2="laneOf(place) + LANE" stroke="var(--rule)" />
        <text x="0" :y="laneOf(place) + 22" fill="var(--ink)" font-size="15"><tspan font-weight="700" class="figure">{{ placeNames[place].letter }}</tspan> {{ placeNames[place].word }}</text>
      </g>
      <rect v-if="doneUpTo > 0" :x="scale(0)" y="0" :width="scale(doneUpTo) - scale(0)" :height="lanesHeight" fill="var(--tint)" opacity="0.55" />
      <g v-for="(trip, index) in plan.trips" :key="index">
        <rect :x="scale(trip.startMinutes)" :y="laneOf(trip.place) + 5" :width="Math.max(2, scale(trip.finishMinutes) - scale(trip.startMinutes))" :height="LANE - 10" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.5" />
        <line v-if="index > 0" :x1="scale(trip.startMinutes)" :x2="scale(trip.startMinutes)" :y1="laneOf(plan.trips[index - 1]!.place) + LANE / 2" :y2="laneOf(trip.place) + LANE / 2" stroke="var(--line)" />
      </g>
      <g v-for="step in plan.steps" :key="step.id" @click="emit('ask', step.id)">
        <rect
          :x="scale(step.startMinutes)" :y="laneOf(step.place) + 6" :width="Math.max(1.5, scale(step.finishMinutes) - scale(step.startMinutes) - 1)" :height="LANE - 12"
          :fill="asked === step.id ? 'var(--action)' : next === step.id ? 'var(--attention)' : step.id in done ? 'var(--line)' : 'var(--rule)'" class="cursor-pointer"
        />
      </g>
      <g v-for="step in waits" :key="`wait-${step.id}`">
        <line :x1="scale(step.startMinutes - step.waitMinutes)" :x2="scale(step.startMinutes)" :y1="laneOf(step.place) + LANE / 2" :y2="laneOf(step.place) + LANE / 2" stroke="var(--attention)" stroke-width="3" stroke-dasharray="2 4" />
      </g>
      <path :d="groundLine" fill="none" stroke="var(--ink)" stroke-width="3" stroke-linejoin="round" />
      <text x="0" :y="LOW + 4" font-size="15" fill="var(--ink)">Car up</text>
      <g v-for="hour in hours.filter(each => each % everyHours === 0)" :key="hour">
        <line :x1="scale(hour * 60)" :x2="scale(hour * 60)" :y1="lanesHeight + 38" :y2="lanesHeight + 43" stroke="var(--line)" />
        <text :x="scale(hour * 60)" :y="height - 3" text-anchor="middle" class="figure" font-size="15" fill="var(--quiet)">{{ hour }} h</text>
      </g>
    </svg>
  </div>
</template>
