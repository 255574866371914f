<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { sheetNumber } from '../../../words/sheet-number'

/** Engine and tube from the side, hung at its mounts and in a strap, with the brace and the timber below; along the car to scale. */
const props = defineProps<{ values: SheetValues }>()
const number = (id: string, usual: number) => sheetNumber(props.values, id, usual)
const m = computed(() => ({
  strap: number('strap', 1500),
  drop: number('drop', 40),
  brace: number('brace', 800),
  gap: number('braceGap', 70),
}))
const MOUNTS = 70
const scale = computed(() => 200 / Math.max(m.value.strap, m.value.brace, 200))
const strapX = computed(() => MOUNTS + m.value.strap * scale.value)
const braceX = computed(() => MOUNTS + m.value.brace * scale.value)
// Heights are told three times as high as lengths: a hand’s width would not be seen.
const up = (mm: number) => Math.min(60, mm * scale.value * 3)
const tilt = computed(() => (Math.atan2(up(m.value.drop), strapX.value - MOUNTS) * 180) / Math.PI)
const left = computed(() => Math.max(0, up(m.value.gap) - up((m.value.drop * m.value.brace) / m.value.strap)))
const tubeY = computed(() => 120 + Math.tan((tilt.value * Math.PI) / 180) * (braceX.value - MOUNTS))
</script>

<template>
  <DrawingFrame
    label="Engine and tube from the side: mounts in front, a strap under the tail of the tube, timber between tube and brace"
  >
    <g :transform="`rotate(${tilt} ${MOUNTS} 110)`">
      <path :d="`M${MOUNTS - 54} 62 h86 v86 h-86 z`" class="cut" />
      <path :d="`M${MOUNTS + 32} 100 H${strapX + 20} v20 H${MOUNTS + 32} z`" fill="var(--paper)" />
    </g>
    <circle :cx="MOUNTS" cy="110" r="8" fill="var(--action)" stroke="none" />
    <text :x="MOUNTS" y="168" text-anchor="middle">mounts</text>
    <path :d="`M${strapX} 30 V${124 + up(m.drop)}`" stroke="var(--action)" stroke-width="4" />
    <text :x="strapX + 8" y="28" text-anchor="end">strap</text>
    <rect
      v-if="left > 0"
      :x="braceX - 12"
      :y="tubeY"
      width="24"
      :height="left"
      stroke="var(--attention)"
      fill="var(--paper)"
    />
    <path :d="`M${braceX - 36} ${tubeY + left} h72 v14 h-72 z`" fill="var(--ink)" />
    <text :x="braceX" :y="tubeY + left + 36" text-anchor="middle">brace, timber on it</text>
    <text x="160" y="244" text-anchor="middle" style="font-size: 15px">heights drawn three times as high</text>
  </DrawingFrame>
</template>
