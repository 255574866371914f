<script setup lang="ts">
import { boltName, clockPosition, isOut, outlinePoints } from '../../../core/fasteners'
import type { BoardBolt, BoltBoard } from '../../../core/fasteners'
import type { Outline } from '../../../core/packs'
import { boltSize, boltState } from '../../words/bolt-words'

/**
 * The outline with its bolts: filled when in, hollow when out, ringed when out and not looked at. A bar beside each shows
 * its length, a second ring that it goes in from the other side. In `placing` a tap on the outline puts a bolt there and a
 * bolt can be dragged; arrow keys move the chosen one, Delete takes it off.
 */
const props = defineProps<{ board: BoltBoard; outline: Outline; seenFrom: 'box' | 'engine'; placing: boolean }>()
const emit = defineEmits<{
  place: [xMm: number, yMm: number]
  move: [boltId: string, xMm: number, yMm: number]
  nudge: [boltId: string, byXMm: number, byYMm: number]
  lift: [boltId: string]
}>()
const chosen = defineModel<string | null>({ required: true })
const t = useTerms()
const units = useUnits()
const svg = useTemplateRef<SVGSVGElement>('svg')
const dragged = ref<{ id: string; x: number; y: number; moved: boolean } | null>(null)

const side = computed(() => (props.seenFrom === 'box' ? 1 : -1))
const rim = computed(() => outlinePoints(props.outline).map(([x, y]): [number, number] => [side.value * x, -y]))
const frame = computed(() => {
  const places = props.board.bolts.map((bolt): [number, number] => [side.value * bolt.xMm, -bolt.yMm])
  const all = [...rim.value, ...places]
  const [left, right] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))]
  const [top, bottom] = [Math.min(...all.map(([, y]) => y)), Math.max(...all.map(([, y]) => y))]
  const unit = Math.max(right - left, bottom - top) / 100
  return {
    unit,
    left: left - 15 * unit,
    top: top - 13 * unit,
    width: right - left + 30 * unit,
    height: bottom - top + 26 * unit,
    midX: (left + right) / 2,
    midY: (top + bottom) / 2,
    halfX: (right - left) / 2,
    halfY: (bottom - top) / 2,
  }
})
const path = computed(
  () => `${rim.value.map(([x, y], index) => `${index ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join('')}Z`,
)
const hours = computed(() =>
  [12, 3, 6, 9].map(hour => {
    const { midX, midY, halfX, halfY, unit } = frame.value
    const turn = (hour / 12) * 2 * Math.PI
    return { hour, x: midX + Math.sin(turn) * (halfX + 10 * unit), y: midY - Math.cos(turn) * (halfY + 9 * unit) }
  }),
)
const longest = computed(() => Math.max(0, ...props.board.bolts.map(bolt => bolt.lengthMm ?? 0)))
const bolts = computed(() =>
  props.board.bolts.map((bolt, index) => {
    const held = dragged.value?.id === bolt.id ? dragged.value : null
    const x = held ? held.x : side.value * bolt.xMm
    const y = held ? held.y : -bolt.yMm
    const { midX, midY, unit } = frame.value
    const away = Math.atan2(y - midY, x - midX)
    const length = bolt.lengthMm && longest.value ? (3 + (6 * bolt.lengthMm) / longest.value) * unit : 0
    const from = 4.6 * unit
    return {
      bolt,
      index,
      x,
      y,
      bar: length
        ? {
            x1: x + Math.cos(away) * from,
            y1: y + Math.sin(away) * from,
            x2: x + Math.cos(away) * (from + length),
            y2: y + Math.sin(away) * (from + length),
          }
        : null,
      otherSide: (bolt.from ?? 'box') !== props.seenFrom,
    }
  }),
)
const words = (bolt: BoardBolt) =>
  [
    boltName(props.board, bolt, props.seenFrom),
    boltState(bolt),
    boltSize(bolt, units.reading),
    bolt.holds ? `holds ${t(bolt.holds)}` : '',
  ]
    .filter(Boolean)
    .join(', ')
const failed = (bolt: BoardBolt) => bolt.condition === 'sheared' || bolt.condition === 'stripped'

function pointAt(event: PointerEvent | MouseEvent): { x: number; y: number } {
  const matrix = svg.value!.getScreenCTM()!.inverse()
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix)
  return { x: point.x, y: point.y }
}
function toBoard(x: number, y: number): [number, number] {
  return [Math.round(side.value * x), Math.round(-y)]
}
function tapOutline(event: MouseEvent) {
  if (!props.placing) return
  const { x, y } = pointAt(event)
  emit('place', ...toBoard(x, y))
}
function grab(event: PointerEvent, bolt: BoardBolt) {
  if (!props.placing) return
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  dragged.value = { id: bolt.id, ...pointAt(event), moved: false }
}
function drag(event: PointerEvent) {
  if (!dragged.value) return
  const { x, y } = pointAt(event)
  const far = Math.hypot(x - dragged.value.x, y - dragged.value.y) > frame.value.unit
  dragged.value = { ...dragged.value, ...(dragged.value.moved || far ? { x, y, moved: true } : {}) }
}
function drop(bolt: BoardBolt) {
  const held = dragged.value
  dragged.value = null
  if (held?.moved) emit('move', bolt.id, ...toBoard(held.x, held.y))
}
const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}
function press(event: KeyboardEvent, bolt: BoardBolt) {
  const step = STEPS[event.key]
  if (event.key === 'Enter' || event.key === ' ') chosen.value = bolt.id
  else if (step && props.placing) {
    const far = event.shiftKey ? 20 : 4
    emit('nudge', bolt.id, side.value * step[0] * far, step[1] * far)
  } else if (step) walk(bolt, step[0] + step[1] > 0 ? 1 : -1)
  else if (event.key === 'Delete' && props.placing) emit('lift', bolt.id)
  else return
  event.preventDefault()
  event.stopPropagation()
}
/** Without placing, arrows go from bolt to bolt round the board. */
function walk(bolt: BoardBolt, by: 1 | -1) {
  const list = props.board.bolts
  const next = list[(list.indexOf(bolt) + by + list.length) % list.length]!
  chosen.value = next.id
  svg.value?.querySelector<SVGElement>(`[data-bolt="${CSS.escape(next.id)}"]`)?.focus()
}
</script>

<template>
  <svg
    ref="svg"
    :viewBox="`${frame.left} ${frame.top} ${frame.width} ${frame.height}`"
    role="group"
    :aria-label="`${t(outline.name)}, seen from the ${seenFrom === 'box' ? 'box' : 'engine'}`"
    fill="none"
    class="block touch-manipulation select-none"
    :class="placing ? 'cursor-crosshair' : ''"
    data-testid="board"
  >
    <path :d="path" stroke="var(--ink)" :stroke-width="frame.unit * 0.7" fill="var(--sheet)" @click="tapOutline" />
    <g v-for="mark in outline.marks" :key="mark.name" pointer-events="none">
      <circle
        :cx="side * mark.x"
        :cy="-mark.y"
        :r="mark.radiusMm"
        stroke="var(--line)"
        :stroke-width="frame.unit * 0.3"
        :stroke-dasharray="`${frame.unit} ${frame.unit}`"
      />
      <text
        :x="side * mark.x"
        :y="-mark.y + frame.unit"
        text-anchor="middle"
        :font-size="frame.unit * 4.6"
        fill="var(--quiet)"
      >
        {{ t(mark.name) }}
      </text>
    </g>
    <text
      v-for="hour in hours"
      :key="hour.hour"
      :x="hour.x"
      :y="hour.y + frame.unit * 1.4"
      text-anchor="middle"
      class="figure"
      :font-size="frame.unit * 4.6"
      fill="var(--quiet)"
      pointer-events="none"
    >
      {{ hour.hour }}
    </text>
    <g
      v-for="{ bolt, index, x, y, bar, otherSide } in bolts"
      :key="bolt.id"
      role="button"
      tabindex="0"
      :data-bolt="bolt.id"
      :aria-label="words(bolt)"
      :aria-pressed="chosen === bolt.id"
      class="cursor-pointer outline-none [&:focus-visible>.halo]:stroke-(--action)"
      :class="placing ? 'touch-none' : ''"
      @click.stop="chosen = bolt.id"
      @pointerdown="grab($event, bolt)"
      @pointermove="drag"
      @pointerup="drop(bolt)"
      @pointercancel="dragged = null"
      @keydown="press($event, bolt)"
    >
      <circle
        class="halo"
        :cx="x"
        :cy="y"
        :r="frame.unit * 7"
        :fill="chosen === bolt.id ? 'var(--tint)' : 'transparent'"
        :stroke="chosen === bolt.id ? 'var(--action)' : 'transparent'"
        :stroke-width="frame.unit * 0.8"
      />
      <line v-if="bar" v-bind="bar" stroke="var(--ink)" :stroke-width="frame.unit * 1.2" stroke-linecap="butt" />
      <circle
        v-if="otherSide"
        :cx="x"
        :cy="y"
        :r="frame.unit * 5.2"
        stroke="var(--ink)"
        :stroke-width="frame.unit * 0.4"
      />
      <circle
        :cx="x"
        :cy="y"
        :r="frame.unit * 3.8"
        :fill="isOut(bolt) ? 'var(--sheet)' : 'var(--ink)'"
        stroke="var(--ink)"
        :stroke-width="frame.unit * 0.7"
      />
      <circle
        v-if="isOut(bolt) && bolt.condition === null"
        :cx="x"
        :cy="y"
        :r="frame.unit * 6"
        stroke="var(--attention)"
        :stroke-width="frame.unit * 0.9"
      />
      <circle
        v-if="bolt.suspect"
        :cx="x"
        :cy="y"
        :r="frame.unit * 6"
        stroke="var(--danger)"
        :stroke-width="frame.unit * 0.8"
        :stroke-dasharray="`${frame.unit * 1.6} ${frame.unit * 1.2}`"
      />
      <text
        :x="x"
        :y="y + frame.unit * 1.45"
        text-anchor="middle"
        class="figure"
        :font-size="frame.unit * 4.2"
        font-weight="700"
        :fill="isOut(bolt) ? 'var(--ink)' : 'var(--paper)'"
      >
        {{ index + 1 }}
      </text>
      <path
        v-if="failed(bolt)"
        :d="`M${x - frame.unit * 4} ${y - frame.unit * 4}l${frame.unit * 8} ${frame.unit * 8}m0 ${-frame.unit * 8}l${-frame.unit * 8} ${frame.unit * 8}`"
        stroke="var(--danger)"
        :stroke-width="frame.unit"
      />
      <title>{{ words(bolt) }} ({{ clockPosition(bolt.xMm, bolt.yMm, seenFrom) }})</title>
    </g>
  </svg>
</template>
