<script setup lang="ts">
import { ringPlaces } from '../../../core/fasteners'
import type { NextBolt } from '../../../core/fasteners'
import { openStop } from '../../../core/job'
import type { TighteningRun } from '../../../core/job'

/** The bolts where they are: the next one large, those of this pass done filled, the wrench setting in the middle. */
const props = defineProps<{ run: TighteningRun; next: NextBolt | null; settingNm: number | null }>()
const units = useUnits()
const R = 128
const C = 180
const RING = 100
const places = computed(() => {
  const positions = props.run.positions ?? ringPlaces(props.run.boltCount, RING)
  const xs = positions.map(({ x }) => x)
  const ys = positions.map(({ y }) => y)
  const mid = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 }
  const reach = Math.max(...positions.map(({ x, y }) => Math.hypot(x - mid.x, y - mid.y)), 1)
  return positions.map(({ x, y }) => ({ x: C + ((x - mid.x) / reach) * R, y: C - ((y - mid.y) / reach) * R }))
})
/** A number in the middle would stand on a bolt that lies there. */
const middleFree = computed(() => places.value.every(({ x, y }) => Math.hypot(x - C, y - C) > 96))
const stop = computed(() => openStop(props.run))
const bolts = computed(() =>
  places.value.map((place, index) => {
    const inPass = props.next ? props.next.pass.order.slice(0, props.next.turnedInPass).includes(index) : true
    return { index, ...place, done: inPass, next: props.next?.bolt === index, stopped: stop.value?.bolt === index }
  }),
)
const setting = computed(() => (props.settingNm === null ? null : units.torque(props.settingNm)))
const byHand = computed(() => (props.next?.pass.angleDeg ? `${props.next.pass.angleDeg}°` : 'by hand'))
const from = computed(() => {
  if (!props.next || props.next.turnedInPass === 0) return null
  return bolts.value[props.next.pass.order[props.next.turnedInPass - 1]!]!
})
const to = computed(() => bolts.value.find(bolt => bolt.next) ?? null)
const words = computed(() =>
  props.next
    ? `Next is bolt ${props.next.bolt + 1} of ${props.run.boltCount}${setting.value ? `, set ${setting.value.main.text} ${setting.value.main.unit}` : `, ${byHand.value}`}`
    : 'All bolts done',
)
const small = computed(() => props.run.boltCount > 14)
</script>

<template>
  <svg viewBox="0 0 360 360" role="img" :aria-label="words" fill="none">
    <circle :cx="C" :cy="C" r="166" stroke="var(--rule)" stroke-width="2" />
    <circle v-if="middleFree" :cx="C" :cy="C" r="86" stroke="var(--rule)" stroke-width="2" />
    <line
      v-if="from && to"
      :x1="from.x"
      :y1="from.y"
      :x2="to.x"
      :y2="to.y"
      stroke="var(--line)"
      stroke-width="2"
      stroke-dasharray="4 5"
    />
    <circle v-if="middleFree" :cx="C" :cy="C" r="80" fill="var(--paper)" />
    <g v-for="bolt in bolts" :key="bolt.index">
      <circle
        v-if="bolt.next"
        :cx="bolt.x"
        :cy="bolt.y"
        :r="small ? 24 : 33"
        :stroke="bolt.stopped ? 'var(--danger)' : 'var(--action)'"
        :stroke-width="bolt.stopped ? 7 : 4"
        fill="var(--tint)"
      />
      <circle
        :cx="bolt.x"
        :cy="bolt.y"
        :r="small ? 15 : 21"
        :fill="bolt.done ? 'var(--ink)' : 'var(--sheet)'"
        stroke="var(--ink)"
        stroke-width="2.5"
      />
      <text
        :x="bolt.x"
        :y="bolt.y + (small ? 5.5 : 7)"
        text-anchor="middle"
        class="figure"
        :font-size="small ? 16 : 20"
        font-weight="700"
        :fill="bolt.done ? 'var(--paper)' : 'var(--ink)'"
      >
        {{ bolt.index + 1 }}
      </text>
    </g>
    <template v-if="next && middleFree">
      <template v-if="setting">
        <text :x="C" :y="C + 6" text-anchor="middle" class="figure" font-size="52" font-weight="700" fill="var(--ink)">
          {{ setting.main.text }}
        </text>
        <text :x="C" :y="C + 32" text-anchor="middle" class="figure" font-size="20" fill="var(--ink)">
          {{ setting.main.unit }}
        </text>
        <text :x="C" :y="C + 56" text-anchor="middle" class="figure" font-size="16" fill="var(--quiet)">
          {{ setting.other.text }} {{ setting.other.unit }}
        </text>
      </template>
      <text v-else :x="C" :y="C + 10" text-anchor="middle" font-size="30" font-weight="650" fill="var(--ink)">
        {{ byHand }}
      </text>
    </template>
    <text v-else-if="!next" :x="C" :y="C + 18" text-anchor="middle" font-size="54" fill="var(--good)">✓</text>
  </svg>
</template>
