<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import type { TighteningReading, TighteningSample } from '../../../core/fasteners'

/** Torque against angle of the bolt under the wrench, over those of its siblings; where something was seen, a mark. */
const props = defineProps<{
  samples: TighteningSample[]
  siblings: TighteningSample[][]
  figureNm: number
  limitNm: number
  reading: TighteningReading | null
}>()
const units = useUnits()
const W = 640
const H = 360
const LEFT = 54
const BASE = H - 28
/** What is looked at closely is the end: the last turns before now. */
const SHOWN_DEG = 240
const end = computed(
  () =>
    Math.max(120, props.samples.at(-1)?.angleDeg ?? 0, ...props.siblings.map(curve => curve.at(-1)!.angleDeg)) * 1.02,
)
const from = computed(() => Math.max(0, end.value - SHOWN_DEG))
const x = computed(() => scaleLinear([from.value, end.value], [LEFT, W - 8]))
const y = computed(() => scaleLinear([0, props.figureNm * 1.15], [BASE, 8]))
const draw = computed(() =>
  line<TighteningSample>(
    sample => x.value(sample.angleDeg),
    sample => y.value(Math.min(sample.torqueNm, props.figureNm * 1.15)),
  ),
)
const path = (curve: TighteningSample[]) => draw.value(curve.filter(sample => sample.angleDeg >= from.value)) ?? ''
const unit = computed(() => units.torque(props.figureNm).main.unit)
const ticks = computed(() =>
  [0, props.limitNm, props.figureNm]
    .filter((nm, index, all) => all.indexOf(nm) === index)
    .map(nm => ({ nm, y: y.value(nm), text: nm === 0 ? '0' : units.torque(nm).main.text })),
)
const mark = computed(() =>
  props.reading?.atAngleDeg != null && props.reading.verdict !== 'good'
    ? (props.samples.findLast(sample => sample.angleDeg <= props.reading!.atAngleDeg!) ?? null)
    : null,
)
const now = computed(() => props.samples.at(-1) ?? null)
const words = computed(() =>
  now.value
    ? `Torque ${units.torque(now.value.torqueNm).main.text} ${unit.value} at ${Math.round(now.value.angleDeg)} degrees${props.siblings.length ? `, over ${props.siblings.length} bolts already good` : ''}`
    : 'No torque yet',
)
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="words" fill="none" class="w-full" data-testid="curve">
      <g v-for="tick in ticks" :key="tick.nm">
        <line
          :x1="LEFT"
          :x2="W"
          :y1="tick.y"
          :y2="tick.y"
          :stroke="tick.nm ? 'var(--line)' : 'var(--ink)'"
          stroke-width="1.5"
          :stroke-dasharray="tick.nm ? '6 5' : ''"
        />
        <text :x="LEFT - 6" :y="tick.y + 5" text-anchor="end" class="figure" font-size="16" fill="var(--quiet)">
          {{ tick.text }}
        </text>
      </g>
      <text :x="LEFT" :y="H - 6" class="figure" font-size="16" fill="var(--quiet)">{{ Math.round(from) }}°</text>
      <text :x="W - 8" :y="H - 6" text-anchor="end" class="figure" font-size="16" fill="var(--quiet)">
        {{ Math.round(end) }}°
      </text>
      <text :x="(LEFT + W) / 2" :y="H - 6" text-anchor="middle" font-size="16" fill="var(--quiet)">
        {{ unit }} against angle
      </text>
      <path v-for="(curve, index) in siblings" :key="index" :d="path(curve)" stroke="var(--line)" stroke-width="1.5" />
      <path
        :d="path(samples)"
        stroke="var(--action)"
        stroke-width="4"
        stroke-linejoin="round"
        data-testid="curve-line"
      />
      <g v-if="mark">
        <circle
          :cx="x(mark.angleDeg)"
          :cy="y(Math.min(mark.torqueNm, figureNm * 1.15))"
          r="9"
          stroke="var(--danger)"
          stroke-width="4"
        />
      </g>
      <circle
        v-else-if="now"
        :cx="x(now.angleDeg)"
        :cy="y(Math.min(now.torqueNm, figureNm * 1.15))"
        r="6"
        fill="var(--action)"
      />
    </svg>
    <figcaption class="sr-only">{{ words }}</figcaption>
  </figure>
</template>
