<script setup lang="ts">
import { loadJoint } from '../../../core/fasteners'
import type { Joint } from '../../../core/fasteners'

/** Preload against what makes the bolt yield, with the band that friction leaves open, and where the thread would strip. */
const props = defineProps<{ joint: Joint; torqueNm: number }>()
const load = computed(() => loadJoint({ ...props.joint, torqueNm: props.torqueNm }))
const W = 400
const scale = computed(
  () =>
    W /
    Math.max(
      1.25,
      load.value.utilisation.high * 1.08,
      (load.value.stripN ?? 0) / load.value.yieldN < 1.6 ? ((load.value.stripN ?? 0) / load.value.yieldN) * 1.08 : 0,
    ),
)
const x = (share: number) => Math.min(W, share * scale.value)
const strip = computed(() => (load.value.stripN === null ? null : load.value.stripN / load.value.yieldN))
const { force } = useUnits()
const words = computed(
  () =>
    `Preload about ${force(load.value.preloadN.usual)}, between ${force(load.value.preloadN.low)} and ${force(load.value.preloadN.high)} by friction; the bolt yields at ${force(load.value.yieldN)}${load.value.stripN === null ? '' : `, the thread strips at ${force(load.value.stripN)}`}`,
)
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${W} 74`" role="img" :aria-label="words" fill="none" class="w-full">
      <rect x="0" y="24" :width="W" height="22" stroke="var(--line)" fill="var(--sheet)" />
      <rect x="0" y="24" :width="x(load.utilisation.usual)" height="22" fill="var(--ink)" />
      <rect
        :x="x(load.utilisation.low)"
        y="30"
        :width="Math.max(2, x(load.utilisation.high) - x(load.utilisation.low))"
        height="10"
        fill="var(--attention)"
        stroke="var(--paper)"
        stroke-width="1"
      />
      <line :x1="x(1)" y1="16" :x2="x(1)" y2="54" stroke="var(--danger)" stroke-width="3" />
      <text :x="x(1)" y="11" text-anchor="middle" font-size="14" fill="var(--danger)">yields</text>
      <template v-if="strip !== null && x(strip) < W">
        <line
          :x1="x(strip)"
          y1="16"
          :x2="x(strip)"
          y2="54"
          stroke="var(--danger)"
          stroke-width="3"
          stroke-dasharray="5 4"
        />
        <text :x="x(strip)" y="70" text-anchor="middle" font-size="14" fill="var(--danger)">thread strips</text>
      </template>
      <text v-else x="0" y="66" font-size="14" class="figure" fill="var(--quiet)">0</text>
    </svg>
    <figcaption class="text-sm text-quiet">
      <span class="figure">{{ force(load.preloadN.usual) }}</span>; friction leaves
      <span class="figure">{{ force(load.preloadN.low) }}</span> to
      <span class="figure">{{ force(load.preloadN.high) }}</span> open; it yields at
      <span class="figure">{{ force(load.yieldN) }}</span><template v-if="load.stripN !== null"
        >, the thread strips at <span class="figure">{{ force(load.stripN) }}</span></template
      >.
    </figcaption>
  </figure>
</template>
