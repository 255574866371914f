<script setup lang="ts">
import { isOut, outlinePoints } from '../../../core/fasteners'
import type { BoardBolt } from '../../../core/fasteners'
import { pieceStand, plugStand } from '../../../core/job'
import type { Body, BodyPlug, Outline, Pocket } from '../../../core/packs'

/**
 * The underside of a body: pockets filled while all of their pieces are in, hollow when any is out, ticked when each was looked at once
 * more; plugs as squares, a bar across one whose tab is none; its bolts small, their length beside them.
 */
const props = defineProps<{ body: Body; outline: Outline; bolts: BoardBolt[] }>()
const chosen = defineModel<string | null>({ required: true })
const { state } = useJob()
const t = useTerms()
const units = useUnits()
const svg = useTemplateRef<SVGSVGElement>('svg')
const rim = computed(() => outlinePoints(props.outline).map(([x, y]): [number, number] => [x, -y]))
const frame = computed(() => {
  const xs = rim.value.map(([x]) => x)
  const ys = rim.value.map(([, y]) => y)
  const [left, top] = [Math.min(...xs) - 14, Math.min(...ys) - 14]
  return { left, top, width: Math.max(...xs) + 14 - left, height: Math.max(...ys) + 14 - top }
})
const path = computed(
  () => `${rim.value.map(([x, y], index) => `${index ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join('')}Z`,
)
const pockets = computed(() =>
  props.body.pockets.map(pocket => {
    const stands = pocket.pieces.map(piece => pieceStand(state.value, props.body.id, piece.id))
    const out = stands.filter(stand => stand === 'out').length
    return { pocket, out, isSeen: stands.every(stand => stand === 'confirmed') }
  }),
)
const plugs = computed(() =>
  props.body.plugs.map(plug => ({ plug, stand: plugStand(state.value, props.body.id, plug.id) })),
)
const pocketWords = (pocket: Pocket, out: number, isSeen: boolean) =>
  `${t(pocket.name)}, ${out > 0 ? `${out} of ${pocket.pieces.length} out` : isSeen ? 'every piece in and looked at' : 'every piece in'}`
const standWords = { on: 'on', off: 'off', tugged: 'on and tugged at' } as const
const plugWords = (plug: BodyPlug, stand: keyof typeof standWords) =>
  `${t(plug.name)}, ${t(plug.wires)}, ${standWords[stand]}`
const ids = computed(() => [...props.body.pockets, ...props.body.plugs].map(entry => entry.id))
function press(event: KeyboardEvent, id: string) {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
  if (event.key === 'Enter' || event.key === ' ') chosen.value = id
  else if (by) {
    const next = ids.value[(ids.value.indexOf(id) + by + ids.value.length) % ids.value.length]!
    chosen.value = next
    svg.value?.querySelector<SVGElement>(`[data-place="${CSS.escape(next)}"]`)?.focus()
  } else return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <svg
    ref="svg"
    :viewBox="`${frame.left} ${frame.top} ${frame.width} ${frame.height}`"
    role="group"
    :aria-label="t(outline.name)"
    fill="none"
    class="block touch-manipulation select-none"
    data-testid="piece-board"
  >
    <path :d="path" stroke="var(--ink)" stroke-width="2" fill="var(--sheet)" />
    <g v-for="mark in outline.marks" :key="mark.name" pointer-events="none">
      <circle :cx="mark.x" :cy="-mark.y" :r="mark.radiusMm" stroke="var(--line)" stroke-dasharray="3 3" />
      <text :x="mark.x" :y="-mark.y + mark.radiusMm + 9" text-anchor="middle" font-size="8" fill="var(--quiet)">
        {{ t(mark.name) }}
      </text>
    </g>
    <g v-for="bolt in bolts" :key="bolt.id">
      <title>
        {{
          [bolt.lengthMm && units.measure(bolt.lengthMm, 'mm', 0), bolt.holds && t(bolt.holds)]
            .filter(Boolean)
            .join(', ')
        }}
      </title>
      <circle v-if="bolt.holds" :cx="bolt.xMm" :cy="-bolt.yMm" r="6" stroke="var(--quiet)" stroke-width="1.2" />
      <circle
        :cx="bolt.xMm"
        :cy="-bolt.yMm"
        r="3.4"
        :fill="isOut(bolt) ? 'var(--sheet)' : 'var(--quiet)'"
        stroke="var(--quiet)"
        stroke-width="1.2"
      />
      <text
        v-if="bolt.lengthMm"
        :x="bolt.xMm > 80 ? bolt.xMm - 5 : bolt.xMm + 5"
        :text-anchor="bolt.xMm > 80 ? 'end' : 'start'"
        :y="-bolt.yMm + 2.6"
        font-size="7"
        class="figure"
        fill="var(--quiet)"
      >
        {{ units.measure(bolt.lengthMm, 'mm', 0) }}
      </text>
    </g>
    <g
      v-for="{ pocket, out, isSeen } in pockets"
      :key="pocket.id"
      role="button"
      tabindex="0"
      :data-place="pocket.id"
      :aria-label="pocketWords(pocket, out, isSeen)"
      :aria-pressed="chosen === pocket.id"
      class="cursor-pointer outline-none [&:focus-visible>.halo]:stroke-(--action)"
      @click="chosen = pocket.id"
      @keydown="press($event, pocket.id)"
    >
      <circle
        class="halo"
        :cx="pocket.x"
        :cy="-pocket.y"
        :r="pocket.radiusMm + 6"
        :fill="chosen === pocket.id ? 'var(--tint)' : 'transparent'"
        :stroke="chosen === pocket.id ? 'var(--action)' : 'transparent'"
        stroke-width="2.4"
      />
      <circle
        :cx="pocket.x"
        :cy="-pocket.y"
        :r="pocket.radiusMm"
        :fill="out > 0 ? 'var(--sheet)' : 'var(--ink)'"
        :stroke="out > 0 ? 'var(--attention)' : 'var(--ink)'"
        stroke-width="2.4"
      />
      <text
        :x="pocket.x"
        :y="-pocket.y + 4"
        text-anchor="middle"
        class="figure"
        font-size="11"
        font-weight="700"
        :fill="out > 0 ? 'var(--ink)' : 'var(--paper)'"
      >
        {{ out > 0 ? out : isSeen ? '✓' : pocket.pieces.length }}
      </text>
    </g>
    <g
      v-for="{ plug, stand } in plugs"
      :key="plug.id"
      role="button"
      tabindex="0"
      :data-place="plug.id"
      :aria-label="plugWords(plug, stand)"
      :aria-pressed="chosen === plug.id"
      class="cursor-pointer outline-none [&:focus-visible>.halo]:stroke-(--action)"
      @click="chosen = plug.id"
      @keydown="press($event, plug.id)"
    >
      <rect
        class="halo"
        :x="plug.x - 11"
        :y="-plug.y - 11"
        width="22"
        height="22"
        :fill="chosen === plug.id ? 'var(--tint)' : 'transparent'"
        :stroke="chosen === plug.id ? 'var(--action)' : 'transparent'"
        stroke-width="2.4"
      />
      <rect
        :x="plug.x - 6"
        :y="-plug.y - 6"
        width="12"
        height="12"
        :fill="stand === 'off' ? 'var(--sheet)' : 'var(--action)'"
        :stroke="stand === 'off' ? 'var(--attention)' : 'var(--action)'"
        stroke-width="2"
      />
      <path
        v-if="plug.lock === 'false-tab'"
        :d="`M${plug.x - 8} ${-plug.y - 8}h16`"
        stroke="var(--ink)"
        stroke-width="2"
      />
      <text
        v-if="stand === 'tugged'"
        :x="plug.x"
        :y="-plug.y + 4"
        text-anchor="middle"
        font-size="11"
        font-weight="700"
        fill="var(--paper)"
      >
        ✓
      </text>
    </g>
  </svg>
</template>
