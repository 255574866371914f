<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { awayOf, stanceOf } from '../../../core/packs'
import { leanOf, standingThings } from '../../../core/job/views/car-drawing'
import type { StandingThing } from '../../../core/job/views/car-drawing'
import type { Carrying } from '../../../core/job/views/carrying'
import { boundsOf, pathOf } from '../../drawing/car-shapes'
import { standWords } from '../../words/stand-words'

/** The car from the side and from above: off is ghosted, loose hatched, open dashed, what holds drawn heavy with its load. */
const props = defineProps<{ carrying: Carrying[]; asked: string | null }>()
const emit = defineEmits<{ ask: [thingId: string] }>()
const { state } = useJob()
const t = useTerms()
const units = useUnits()
const drawing = computed(() => state.value.procedure!.drawing!)
const things = computed(() => standingThings(state.value))
const lean = computed(() => leanOf(state.value))
const frame = useTemplateRef('frame')
const { width } = useElementSize(frame)
const across = computed(() => drawing.value.toMm - drawing.value.fromMm)
/** Letters keep their size on the screen whatever the drawing's scale. */
const letters = computed(() => (16 * across.value) / Math.max(280, width.value || 800))
const up = computed(() => drawing.value.upMm + drawing.value.raisedMm)
const raised = computed(() => (state.value.car === awayOf(state.value.procedure!) ? drawing.value.raisedMm : 0))
/** By how much the front half stands away where the vehicle is parted. */
const forward = computed(() => {
  const { procedure, car } = state.value
  return car === awayOf(procedure!) ? (drawing.value.parted?.forwardMm ?? 0) : 0
})
const forwardOf = (id: string) => (drawing.value.parted?.things.includes(id) ? forward.value : 0)
const HALF = 960
const views = computed(() => [
  { id: 'side' as const, name: 'From the side', heightMm: up.value + 60, topMm: up.value },
  { id: 'top' as const, name: 'From above', heightMm: 2 * HALF, topMm: HALF },
])
const loads = computed(
  () => new Map(props.carrying.flatMap(body => body.loads.map(load => [load.thingId, load] as const))),
)
const leaning = (id: string) => lean.value?.things.includes(id) ?? false

function moved(entry: StandingThing, view: 'side' | 'top'): string | undefined {
  const aside = -forwardOf(entry.thing.id)
  if (view === 'top') return aside ? `translate(${aside} 0)` : undefined
  const rise = entry.thing.onGround ? 0 : raised.value
  const turn = leaning(entry.thing.id)
    ? ` rotate(${lean.value!.degrees} ${lean.value!.about[0]} ${up.value - lean.value!.about[1]})`
    : ''
  return `translate(${aside} ${-rise})${turn}`
}
/** Where what a prop carries is written: under a beam, in the middle of what stands on the ground. */
function labelOf(entry: StandingThing, view: 'side' | 'top', topMm: number) {
  const load =
    loads.value.get(entry.thing.id) ?? (entry.thing.holds ? { kg: entry.thing.holds.kg, pieces: 1 } : undefined)
  const bounds = boundsOf(entry.thing[view])
  if (entry.stand !== 'held' || !load || !bounds) return null
  const y =
    view === 'top'
      ? bounds.high + letters.value
      : entry.thing.onGround
        ? bounds.low + (bounds.high - bounds.low) * 0.4
        : bounds.high + letters.value * 0.7 + raised.value
  return {
    x: (bounds.left + bounds.right) / 2 - forwardOf(entry.thing.id),
    y: topMm - y,
    text:
      load.kg[1] === 0 && entry.thing.holds
        ? 'carries nothing'
        : load.kg[1] < 0.5
          ? 'touches'
          : `${load.pieces > 1 ? `${load.pieces} × ` : ''}${units.measure(load.kg[1], 'kg', 0)}`,
  }
}
/** Where a thing's own name is written. */
function nameOf(entry: StandingThing, view: 'side' | 'top', topMm: number) {
  const bounds = boundsOf(entry.thing[view])
  if (!bounds || (entry.thing.label !== view && entry.thing.label !== 'both')) return null
  return {
    x: (bounds.left + bounds.right) / 2 - forwardOf(entry.thing.id),
    y: topMm - (bounds.low + bounds.high) / 2 - (view === 'side' ? raised.value : 0),
  }
}
const words = computed(() => {
  const changed = things.value.filter(({ stand }) => stand !== 'whole')
  return `${stanceOf(state.value.procedure!, state.value.car).said}. ${changed.length === 0 ? 'Everything is on.' : changed.map(({ thing, stand }) => `${t(thing.name)} ${standWords[stand]}`).join(', ') + '.'}`
})
</script>

<template>
  <div ref="frame" class="grid gap-3" data-testid="car-picture">
    <svg
      v-for="view in views"
      :key="view.id"
      :viewBox="`${drawing.fromMm} 0 ${across} ${view.heightMm}`"
      role="img"
      :aria-label="`${view.name}. ${words}`"
      fill="none"
      stroke-linejoin="round"
      class="w-full border border-rule bg-paper"
      :data-view="view.id"
    >
      <defs>
        <pattern
          :id="`hatch-${view.id}`"
          :width="letters * 0.55"
          :height="letters * 0.55"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect :width="letters" :height="letters" fill="var(--sheet)" />
          <line x1="0" y1="0" x2="0" :y2="letters" stroke="var(--attention)" :stroke-width="letters * 0.16" />
        </pattern>
      </defs>
      <g :transform="view.id === 'side' ? `translate(0 ${-raised})` : undefined">
        <path
          v-for="(shape, index) in drawing.body[view.id]"
          :key="index"
          :d="pathOf(shape, view.topMm)"
          class="body"
        />
      </g>
      <line
        v-if="view.id === 'side'"
        :x1="drawing.fromMm"
        :x2="drawing.toMm"
        :y1="view.topMm"
        :y2="view.topMm"
        class="ground"
      />
      <g
        v-for="entry in things"
        :key="entry.thing.id"
        :transform="moved(entry, view.id)"
        class="thing"
        :class="[entry.stand, asked === entry.thing.id ? 'asked' : '']"
        :data-thing="entry.thing.id"
        :data-stand="entry.stand"
        @click="emit('ask', entry.thing.id)"
      >
        <path
          v-for="(shape, index) in entry.thing[view.id]"
          :key="index"
          :d="pathOf(shape, view.topMm)"
          :class="shape[0]"
          :fill="shape[0] === 'line' ? 'none' : entry.stand === 'loose' ? `url(#hatch-${view.id})` : undefined"
        />
      </g>
      <template v-for="entry in things" :key="entry.thing.id">
        <text
          v-if="nameOf(entry, view.id, view.topMm)"
          v-bind="nameOf(entry, view.id, view.topMm)!"
          :font-size="letters"
          text-anchor="middle"
          dominant-baseline="central"
          class="name"
          :class="entry.stand"
        >
          {{ t(entry.thing.name) }}
        </text>
        <text
          v-if="labelOf(entry, view.id, view.topMm)"
          v-bind="{ x: labelOf(entry, view.id, view.topMm)!.x, y: labelOf(entry, view.id, view.topMm)!.y }"
          :font-size="letters"
          text-anchor="middle"
          dominant-baseline="central"
          class="load figure"
        >
          {{ labelOf(entry, view.id, view.topMm)!.text }}
        </text>
      </template>
      <text
        :x="drawing.fromMm + letters * 0.6"
        :y="view.heightMm - (view.id === 'side' ? 60 : 0) - letters * 0.6"
        :font-size="letters"
        fill="var(--quiet)"
      >
        {{ view.name }}
      </text>
    </svg>
    <ul class="flex flex-wrap gap-x-5 gap-y-1 text-sm" aria-hidden="true">
      <li v-for="stand in ['off', 'loose', 'open', 'held'] as const" :key="stand" class="flex items-center gap-2">
        <svg viewBox="0 0 44 24" class="h-6 w-11" fill="none">
          <defs>
            <pattern
              :id="`key-${stand}`"
              width="7"
              height="7"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <rect width="7" height="7" fill="var(--sheet)" />
              <line x1="0" y1="0" x2="0" y2="7" stroke="var(--attention)" stroke-width="3" />
            </pattern>
          </defs>
          <rect
            x="3"
            y="4"
            width="38"
            height="16"
            class="thing"
            :class="stand"
            :fill="stand === 'loose' ? `url(#key-${stand})` : undefined"
          />
        </svg>
        {{ standWords[stand] }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
path,
.ground,
rect.thing {
  vector-effect: non-scaling-stroke;
}
.body {
  stroke: var(--line);
  stroke-width: 1.2;
}
.ground {
  stroke: var(--ink);
  stroke-width: 3;
}
.thing {
  cursor: pointer;
}
.thing path,
rect.thing {
  stroke: var(--ink);
  stroke-width: 1.6;
  fill: var(--sheet);
  fill-opacity: 0.8;
}
.thing path.line {
  fill: none;
  stroke-width: 2.6;
}
.thing.off path,
rect.off {
  stroke: var(--line);
  stroke-width: 1.4;
  stroke-dasharray: 2 5;
  fill: var(--paper);
  fill-opacity: 0.35;
}
.thing.loose path,
rect.loose {
  stroke: var(--attention);
  stroke-width: 2;
  fill: revert-layer;
  fill-opacity: 1;
}
.thing.open path,
rect.open {
  stroke: var(--attention);
  stroke-width: 2.6;
  stroke-dasharray: 9 5;
}
.thing.held path,
rect.held {
  stroke: var(--action);
  stroke-width: 3.4;
  fill: var(--tint);
  fill-opacity: 1;
}
.thing.asked path {
  stroke: var(--action);
  stroke-width: 4;
  stroke-opacity: 1;
}
text {
  vector-effect: non-scaling-stroke;
}
.name {
  fill: var(--quiet);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  pointer-events: none;
}
.load {
  fill: var(--ink);
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 6px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
</style>
