<script setup lang="ts">
import type { NextBolt } from '../../../core/fasteners'
import type { TighteningRun } from '../../../core/job'

/** The bolts on their circle: the next one large, those of this pass done filled, the wrench setting in the middle. */
const props = defineProps<{ run: TighteningRun, next: NextBolt | null }>()
const units = useUnits()
const R = 128
const C = 180
const bolts = computed(() => Array.from({ length: props.run.boltCount }, (_, index) => {
  const angle = index / props.run.boltCount * 2 * Math.PI - Math.PI / 2
  const inPass = props.next ? props.next.pass.order.slice(0, props.next.turnedInPass).includes(index) : true
  return { index, x: C + R * Math.cos(angle), y: C + R * Math.sin(angle), done: inPass, next: props.next?.bolt === index }
}))
const setting = computed(() => props.next?.pass.torqueNm ? units.torque(props.next.pass.torqueNm) : null)
const from = computed(() => {
  if (!props.next || props.next.turnedInPass === 0) return null
  return bolts.value[props.next.pass.order[props.next.turnedInPass - 1]!]!
})
const to = computed(() => bolts.value.find(bolt => bolt.next) ?? null)
const words = computed(() => props.next
  ? `Next is bolt ${props.next.bolt + 1} of ${props.run.boltCount}${setting.value ? `, set ${setting.value.main.text} ${setting.value.main.unit}` : ', by hand'}`
  : 'All bolts done')
</script>

<template>
  <svg viewBox="0 0 360 360" role="img" :aria-label="words" fill="none">
    <circle :cx="C" :cy="C" r="166" stroke="var(--rule)" stroke-width="2" />
    <circle :cx="C" :cy="C" r="86" stroke="var(--rule)" stroke-width="2" />
    <line v-if="from && to" :x1="from.x" :y1="from.y" :x2="to.x" :y2="to.y" stroke="var(--line)" stroke-width="2" stroke-dasharray="4 5" />
    <circle :cx="C" :cy="C" r="80" fill="var(--paper)" />
    <g v-for="bolt in bolts" :key="bolt.index">
      <circle v-if="bolt.next" :cx="bolt.x" :cy="bolt.y" r="33" stroke="var(--action)" stroke-width="4" fill="var(--tint)" />
      <circle :cx="bolt.x" :cy="bolt.y" r="21" :fill="bolt.done ? 'var(--ink)' : 'var(--sheet)'" stroke="var(--ink)" stroke-width="2.5" />
      <text :x="bolt.x" :y="bolt.y + 7" text-anchor="middle" class="figure" font-size="20" font-weight="700" :fill="bolt.done ? 'var(--paper)' : 'var(--ink)'">{{ bolt.index + 1 }}</text>
    </g>
    <template v-if="next">
      <template v-if="setting">
        <text :x="C" :y="C + 6" text-anchor="middle" class="figure" font-size="52" font-weight="700" fill="var(--ink)">{{ setting.main.text }}</text>
        <text :x="C" :y="C + 32" text-anchor="middle" class="figure" font-size="20" fill="var(--ink)">{{ setting.main.unit }}</text>
        <text :x="C" :y="C + 56" text-anchor="middle" class="figure" font-size="16" fill="var(--quiet)">{{ setting.other.text }} {{ setting.other.unit }}</text>
      </template>
      <text v-else :x="C" :y="C + 10" text-anchor="middle" font-size="30" font-weight="650" fill="var(--ink)">by hand</text>
    </template>
    <text v-else :x="C" :y="C + 18" text-anchor="middle" font-size="54" fill="var(--good)">✓</text>
  </svg>
</template>
