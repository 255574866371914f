<script setup lang="ts">
import { useElementSize, useMediaQuery } from '@vueuse/core'
import { bayOf } from '../../../core/packs'
import type { Place, Procedure } from '../../../core/packs'
import type { Plan } from '../../../core/sequence'
import { stepTitle } from '../../../core/job'
import type { PlanClock } from '../../../core/job'
import { groundLine } from '../../drawing/ground-line'
import { hourMarks, milestoneMarks, waitBars } from '../../drawing/plan-marks'
import { momentText } from '../../words/moments'
import { drawnMinutes, planScale } from '../../drawing/plan-scale'
import { legalBand } from '../../drawing/step-drag'

/** Time to the right, a lane for each place, the ground line that rises where the car is up; steps can be dragged along it. */
const props = defineProps<{
  plan: Plan
  procedure: Procedure
  clock: PlanClock
  done: Set<string>
  pinned: Set<string>
  asked: string | null
  next: string | null
  close: boolean
}>()
const emit = defineEmits<{ ask: [stepId: string]; move: [stepId: string, place: number] }>()
const t = useTerms()

const LANE = 46
const LABEL_WIDE = 92
const LABEL_NARROW = 34
const TOP = 66
const PER_MINUTE_CLOSE = 4.5
const places = computed(() => bayOf(props.procedure).places)
const lanesBottom = computed(() => TOP + LANE * places.value.length)
const frame = useTemplateRef('frame')
const drawing = useTemplateRef<SVGSVGElement>('drawing')
const finePointer = useMediaQuery('(pointer: fine)')
const { width: frameWidth } = useElementSize(frame)
const labelWidth = computed(() => (frameWidth.value < 500 ? LABEL_NARROW : LABEL_WIDE))
const width = computed(() =>
  Math.max(
    frameWidth.value - labelWidth.value,
    props.close ? drawnMinutes(props.plan, props.clock.minutes) * PER_MINUTE_CLOSE : 0,
  ),
)
const scale = computed(() => planScale(props.plan, 2, Math.max(40, width.value - 10), props.clock.minutes))
const x = computed(() => scale.value.x)
const laneOf = (place: Place) => TOP + places.value.findIndex(({ id }) => id === place) * LANE

const waits = computed(() => waitBars(props.plan, props.procedure, x.value))
const waitRows = computed(() => waits.value.reduce((most, wait) => Math.max(most, wait.row + 1), 0))
const groundTop = computed(() => lanesBottom.value + 8 + waitRows.value * 24)
const axisTop = computed(() => groundTop.value + 40)
const height = computed(() => axisTop.value + 26)

const groundArea = computed(() => groundLine(props.plan, x.value, groundTop.value + 34, groundTop.value + 10))
const marks = computed(() => hourMarks(props.plan, props.clock, scale.value))
const milestones = computed(() => milestoneMarks(props.plan, props.procedure, x.value))
const helper = computed(() => props.plan.setting.helperWindow)

const hovered = ref<string | null>(null)

/** Steps tied to the one pointed at or asked: what must come before it, and what only after. */
const shown = computed(() => hovered.value ?? props.asked)
const tied = computed(() => ({
  before: new Map(
    props.procedure.links.filter(link => link.after === shown.value).map(link => [link.before, link.because]),
  ),
  after: new Map(
    props.procedure.links.filter(link => link.before === shown.value).map(link => [link.after, link.because]),
  ),
}))

function fillOf(stepId: string): string {
  if (props.asked === stepId) return 'var(--action)'
  if (props.next === stepId) return 'var(--attention)'
  return props.done.has(stepId) ? 'url(#plan-done)' : 'var(--line)'
}
function ringOf(stepId: string): string {
  return tied.value.before.has(stepId) ? 'var(--attention)' : tied.value.after.has(stepId) ? 'var(--good)' : 'none'
}

const titleOf = (id: string) => t(stepTitle(props.procedure, props.plan, id))
/** The step pointed at, and what holds it back: the earlier step that comes last. */
const caption = computed(() => {
  if (dragging.value) return rangeWords.value
  if (!hovered.value) return ''
  const last = props.plan.order.findLast(id => tied.value.before.has(id))
  return (
    titleOf(hovered.value) +
    (last ? `. After “${titleOf(last)}”: ${t(tied.value.before.get(last)!)}` : '. Nothing has to come before it.')
  )
})

const dragging = useStepDrag({
  drawing,
  plan: () => props.plan,
  procedure: () => props.procedure,
  done: () => props.done,
  x: () => x.value,
  dropped: (stepId, place) => emit('move', stepId, place),
})
const band = computed(
  () => dragging.value && legalBand(props.plan, dragging.value.stepId, dragging.value.range, x.value),
)
const rangeWords = computed(() => {
  const range = dragging.value!.range
  const after = range.after ? `after “${titleOf(range.after.stepId)}”` : 'from the start'
  const before = range.before ? `before “${titleOf(range.before.stepId)}”` : 'to the end'
  return `${after}, ${before}`
})
</script>

<template>
  <div ref="frame" class="w-full select-none" :style="frameWidth > 0 ? {} : { minHeight: `${height}px` }">
    <div v-if="frameWidth > 0" class="flex">
      <svg :width="labelWidth" :height="height" class="shrink-0" aria-hidden="true">
        <g v-for="place in places" :key="place.id">
          <rect x="0" :y="laneOf(place.id) + 9" width="26" height="26" rx="2" fill="var(--ink)" />
          <text
            x="13"
            :y="laneOf(place.id) + 28"
            fill="var(--paper)"
            font-size="16"
            font-weight="700"
            text-anchor="middle"
            class="figure"
          >
            {{ place.letter }}
          </text>
          <text v-if="labelWidth > LABEL_NARROW" x="34" :y="laneOf(place.id) + 28" fill="var(--ink)" font-size="16">
            {{ place.name }}
          </text>
        </g>
        <text v-if="waitRows" x="0" :y="lanesBottom + 24" fill="var(--attention)" font-size="15">
          {{ labelWidth > LABEL_NARROW ? 'waits' : 'wait' }}
        </text>
        <text x="0" :y="groundTop + 30" fill="var(--ink)" font-size="15">car</text>
      </svg>
      <div
        class="min-w-0 flex-1 overflow-x-auto overflow-y-hidden"
        tabindex="0"
        role="region"
        aria-label="Picture of the plan"
      >
        <svg
          ref="drawing"
          :width="width"
          :height="height"
          role="img"
          :aria-label="`Plan over ${Math.round(plan.totals.minutes)} minutes in ${plan.trips.length} trips; the list below says the same in words`"
        >
          <defs>
            <pattern id="plan-closed" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <line x1="0" y1="0" x2="0" y2="6" stroke="var(--rule)" stroke-width="3" />
            </pattern>
            <pattern id="plan-done" width="5" height="5" patternUnits="userSpaceOnUse">
              <path d="M0 5 L5 0" stroke="var(--line)" stroke-width="1" />
            </pattern>
          </defs>
          <g v-if="helper">
            <rect
              :x="x(helper.fromMinutes)"
              :y="TOP - 2"
              :width="Math.max(2, x(helper.toMinutes) - x(helper.fromMinutes))"
              :height="lanesBottom - TOP + 4"
              fill="var(--tint)"
              stroke="var(--action)"
              stroke-dasharray="4 3"
            />
            <text :x="x(helper.fromMinutes) + 4" :y="lanesBottom - 5" font-size="15" fill="var(--action)">
              helper here
            </text>
          </g>
          <line
            v-for="place in places"
            :key="place.id"
            x1="0"
            :x2="width"
            :y1="laneOf(place.id) + LANE"
            :y2="laneOf(place.id) + LANE"
            stroke="var(--rule)"
          />
          <rect
            v-if="band"
            :x="band.from"
            :y="TOP"
            :width="band.to - band.from"
            :height="lanesBottom - TOP"
            fill="var(--tint)"
            stroke="var(--action)"
            stroke-width="2"
            data-testid="legal-band"
          />

          <g v-for="(trip, index) in plan.trips" :key="index">
            <path
              v-if="index > 0"
              :d="`M${x(plan.trips[index - 1]!.finishMinutes)} ${laneOf(plan.trips[index - 1]!.place) + LANE / 2} L${x(trip.startMinutes)} ${laneOf(trip.place) + LANE / 2}`"
              fill="none"
              stroke="var(--line)"
              stroke-width="1"
            />
            <rect
              :x="x(trip.startMinutes)"
              :y="laneOf(trip.place) + 5"
              :width="Math.max(2, x(trip.finishMinutes) - x(trip.startMinutes))"
              :height="LANE - 14"
              rx="2"
              fill="var(--sheet)"
              stroke="var(--ink)"
              stroke-width="1.5"
            />
          </g>
          <rect
            v-for="[from, to] in scale.closed"
            :key="`closed-${from}`"
            :x="x(from)"
            :y="TOP"
            :width="x(to) - x(from)"
            :height="axisTop - TOP"
            fill="url(#plan-closed)"
          />
          <g
            v-for="step in plan.steps"
            :key="step.id"
            :data-step="step.id"
            :class="done.has(step.id) || step.kind !== 'operation' ? 'cursor-pointer' : 'cursor-grab'"
            @click="emit('ask', step.id)"
            @mouseenter="hovered = step.id"
            @mouseleave="hovered = null"
          >
            <rect
              :x="x(step.startMinutes)"
              :y="laneOf(step.place) + 8"
              :width="Math.max(1.5, x(step.finishMinutes) - x(step.startMinutes) - 1)"
              :height="LANE - 20"
              :fill="fillOf(step.id)"
              :stroke="ringOf(step.id)"
              stroke-width="2.5"
            />
            <path
              v-if="pinned.has(step.id)"
              :d="`M${x(step.startMinutes) - 4} ${laneOf(step.place) + 1} h9 l-4.5 9 Z`"
              fill="var(--ink)"
            >
              <title>pinned</title>
            </path>
            <text
              v-if="step.shortHanded"
              :x="x(step.startMinutes) + 1"
              :y="laneOf(step.place) + LANE + 3"
              font-size="15"
              font-weight="700"
              fill="var(--attention)"
            >
              2
            </text>
          </g>
          <PlanWaits :waits="waits" :x="x" :lane-of="laneOf" :lane="LANE" :lanes-bottom="lanesBottom" />
          <path :d="groundArea" fill="none" stroke="var(--ink)" stroke-width="3" stroke-linejoin="round" />
          <PlanMarks :milestones="milestones" :marks="marks" :x="x" :lane-of="laneOf" :axis-top="axisTop" />
          <line
            v-if="clock.minutes > 0"
            :x1="x(clock.minutes)"
            :x2="x(clock.minutes)"
            :y1="TOP"
            :y2="axisTop"
            stroke="var(--action)"
            stroke-width="2"
            stroke-dasharray="6 4"
          />
          <line
            v-if="dragging"
            :x1="dragging.x"
            :x2="dragging.x"
            :y1="TOP"
            :y2="lanesBottom"
            stroke="var(--action)"
            stroke-width="3"
          />
        </svg>
      </div>
    </div>
    <p
      class="no-print line-clamp-2 min-h-12 text-sm"
      :class="dragging ? 'font-semibold text-action' : 'text-quiet'"
      aria-hidden="true"
    >
      {{
        caption ||
        (asked ? 'Ringed amber: must come before the step asked. Ringed green: only after it.' : '') ||
        `${clock.minutes > 0 ? 'Planned anew' : 'Starts'} ${momentText(clock.at)}. ${finePointer ? 'Drag a step to move it' : 'Touch a step to ask and move it'}; a triangle marks a pinned one, a 2 work that wants two.`
      }}
    </p>
  </div>
</template>
