<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { drag } from 'd3-drag'
import { select } from 'd3-selection'
import type { JobSummary } from '../../../core/job'
import type { WeekJob, WeekPlan, WeekRange } from '../../../core/sequence'
import type { WeekDay } from '../../../core/job'
import { clockText, weekdayText } from '../../words/dates'

/** The days ahead: a column a day, a row a car; work as blocks, waits hatched, the way there thin, the promise a flag. Cars are dragged from day to day. */
const props = defineProps<{
  days: WeekDay[]
  now: Date
  jobs: WeekJob[]
  lines: Map<string, JobSummary>
  plan: WeekPlan
  ranges: Map<string, WeekRange>
  asked: string | null
}>()
const emit = defineEmits<{ ask: [jobId: string]; move: [jobId: string, day: number] }>()
const frame = useTemplateRef('frame')
const drawing = useTemplateRef<SVGSVGElement>('drawing')
const { width: frameWidth } = useElementSize(frame)
const [ROW, TOP, LEAST] = [58, 46, 92]
const label = computed(() => (frameWidth.value < 640 ? 76 : 214))
const width = computed(() => Math.max(frameWidth.value, label.value + props.days.length * LEAST))
const column = computed(() => (width.value - label.value - 6) / props.days.length)
const height = computed(() => TOP + props.jobs.length * ROW + 8)
const beginsText = (minutes: number) => {
  const begins = new Date(props.now.getTime() + minutes * 60_000)
  return `${weekdayText(begins, 'long')} ${clockText(begins)}`
}
const ordered = computed(() => [...props.jobs].sort((a, b) => first(a.id) - first(b.id)))
const first = (id: string) => props.plan.blocks.find(block => block.jobId === id)?.from ?? Infinity
const longest = computed(() => Math.max(60, ...props.days.map(day => (day.to.getTime() - day.from.getTime()) / 60_000)))

/** A minute from now as a place: within the hours of its day; outside them at the day's edge. */
function x(minutes: number): number {
  const at = props.now.getTime() + minutes * 60_000
  const index = Math.min(
    props.days.length - 1,
    Math.max(
      0,
      props.days.findIndex((day, place) => at < (props.days[place + 1]?.start.getTime() ?? Infinity)),
    ),
  )
  const day = props.days[index]!
  const within = Math.min(longest.value, Math.max(0, (at - day.from.getTime()) / 60_000))
  return label.value + index * column.value + 3 + (within / longest.value) * (column.value - 6)
}
const short = (name: string) => (name.length > 23 ? `${name.slice(0, 21)}…` : name)
const minutesOf = (date: Date) => (date.getTime() - props.now.getTime()) / 60_000
const dragged = ref<{ jobId: string; day: number } | null>(null)
const legal = computed(() => dragged.value && props.ranges.get(dragged.value.jobId))
/** Whether a car may be begun on a day. */
function allowed(day: number, range: WeekRange): boolean {
  const { from, to } = props.days[day]!
  return (
    props.days[day]!.worked &&
    minutesOf(to) > range.earliest &&
    (range.latest === null || minutesOf(from) <= range.latest)
  )
}
const dayAt = (left: number) =>
  Math.min(props.days.length - 1, Math.max(0, Math.floor((left - label.value) / column.value)))

onMounted(() => {
  watch(
    [() => props.plan, drawing, width],
    async () => {
      await nextTick()
      if (!drawing.value) return
      select(drawing.value)
        .selectAll<SVGGElement, unknown>('g[data-job]')
        .call(
          drag<SVGGElement, unknown>()
            .on('drag', function (event: { x: number }) {
              dragged.value = { jobId: this.dataset.job!, day: dayAt(event.x) }
            })
            .on('end', () => {
              if (dragged.value) emit('move', dragged.value.jobId, dragged.value.day)
              dragged.value = null
            }),
        )
    },
    { immediate: true },
  )
})
const spoken = computed(
  () =>
    `Days ahead: ${ordered.value.map(job => `${props.lines.get(job.id)!.vehicleName} from ${Number.isFinite(first(job.id)) ? beginsText(first(job.id)) : 'later'}`).join(', ')}`,
)
</script>

<template>
  <div ref="frame" class="overflow-x-auto" role="region" aria-label="Days ahead" tabindex="0">
    <svg
      v-if="frameWidth > 0"
      ref="drawing"
      :width="width"
      :height="height"
      role="img"
      :aria-label="spoken"
      fill="none"
      class="block select-none"
    >
      <defs>
        <pattern id="week-wait" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" x2="0" y1="0" y2="7" stroke="var(--line)" stroke-width="2.5" />
        </pattern>
      </defs>
      <g v-for="(day, index) in days" :key="index">
        <rect
          v-if="!day.worked"
          :x="label + index * column"
          :y="TOP - 8"
          :width="column"
          :height="height - TOP"
          fill="var(--rule)"
          opacity="0.45"
        />
        <rect
          v-else-if="day.dark && day.dark < day.to"
          :x="x(minutesOf(day.dark))"
          :y="TOP - 8"
          :width="label + (index + 1) * column - x(minutesOf(day.dark))"
          :height="height - TOP"
          fill="var(--rule)"
          opacity="0.35"
        />
        <rect
          v-if="legal && allowed(index, legal)"
          :x="label + index * column + 2"
          :y="TOP - 8"
          :width="column - 4"
          :height="height - TOP"
          stroke="var(--good)"
          stroke-width="3"
          stroke-dasharray="8 5"
        />
        <line :x1="label + index * column" :x2="label + index * column" y1="8" :y2="height" stroke="var(--line)" />
        <text
          :x="label + index * column + 8"
          y="26"
          class="text-base"
          fill="var(--ink)"
          :font-weight="index === 0 ? 700 : 400"
        >
          {{ index === 0 ? 'Today' : `${weekdayText(day.start)} ${day.start.getDate()}` }}
        </text>
      </g>
      <g v-for="(job, row) in ordered" :key="job.id">
        <line x1="0" :x2="width" :y1="TOP + row * ROW - 8" :y2="TOP + row * ROW - 8" stroke="var(--rule)" />
        <text
          x="2"
          :y="TOP + row * ROW + 14"
          class="text-base"
          fill="var(--ink)"
          :font-weight="asked === job.id ? 700 : 500"
        >
          {{
            label < 120
              ? lines.get(job.id)!.number
              : short(`${lines.get(job.id)!.number} ${lines.get(job.id)!.vehicleName}`)
          }}
        </text>
        <text x="2" :y="TOP + row * ROW + 34" class="text-sm" fill="var(--quiet)">
          {{ job.site === 'bay' ? 'bay' : label < 120 ? 'out' : `driveway, ${job.travelMinutes} min away` }}
        </text>
        <g :data-job="job.id" style="cursor: grab" @click="emit('ask', job.id)">
          <template v-for="wait in plan.waits.filter(entry => entry.jobId === job.id)" :key="wait.from">
            <rect
              :x="x(wait.from)"
              :y="TOP + row * ROW + 8"
              :width="Math.max(2, x(wait.to) - x(wait.from))"
              height="18"
              fill="url(#week-wait)"
            />
          </template>
          <template v-for="block in plan.blocks.filter(entry => entry.jobId === job.id)" :key="block.from">
            <line
              v-if="block.travel"
              :x1="x(block.travel[0])"
              :x2="x(block.travel[1])"
              :y1="TOP + row * ROW + 17"
              :y2="TOP + row * ROW + 17"
              stroke="var(--ink)"
              stroke-width="3"
              stroke-dasharray="3 3"
            />
            <rect
              :x="x(block.from)"
              :y="TOP + row * ROW"
              :width="Math.max(4, x(block.to) - x(block.from))"
              height="34"
              :fill="asked === job.id ? 'var(--action)' : 'var(--ink)'"
              rx="2"
            />
          </template>
        </g>
        <g
          v-for="segment in job.segments.filter(entry => entry.readyAt !== null && entry.readyAt > 0)"
          :key="segment.readyAt!"
        >
          <path
            :d="`M${x(segment.readyAt!)} ${TOP + row * ROW - 6} v46`"
            stroke="var(--attention)"
            stroke-width="2.5"
          />
          <circle :cx="x(segment.readyAt!)" :cy="TOP + row * ROW + 42" r="4" fill="var(--attention)" />
        </g>
        <path
          v-if="job.dueAt !== null && job.dueAt < minutesOf(days.at(-1)!.to)"
          :d="`M${x(job.dueAt)} ${TOP + row * ROW + 42} v-48 l13 6 l-13 6`"
          :stroke="plan.late[job.id]! > 0 ? 'var(--danger)' : 'var(--good)'"
          stroke-width="2.5"
          :fill="plan.late[job.id]! > 0 ? 'var(--danger)' : 'var(--good)'"
        />
      </g>
    </svg>
  </div>
</template>
