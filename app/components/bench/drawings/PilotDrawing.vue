<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { sheetNumber } from '../../../words/sheet-number'

/** Crank end cut through, with the pilot and the tip of the shaft drawn to what was entered. */
const props = defineProps<{ values: SheetValues }>()
const number = (id: string, usual: number) => sheetNumber(props.values, id, usual)
const before = computed(() => {
  const value = props.values.before
  return value?.kind === 'points' ? value.entries.flatMap(entry => entry.value ?? []) : []
})
/** Drawn four pixels to the millimetre, from the face on to the left. */
const PX = 3.4
const FACE = 236
const depth = computed(() => Math.min(40, before.value[0] ?? number('depth', 5)))
const length = computed(() => Math.min(30, number('length', 16)))
const hole = computed(() => Math.max(depth.value + length.value, Math.min(60, number('hole', 34))))
const reach = computed(() =>
  Math.max(-10, Math.min(55, number('standsOut', 40) + number('face', -18) - number('spacer', 0))),
)
const tip = computed(() => Math.min(60, number('tip', 22)))
</script>

<template>
  <DrawingFrame
    label="Crank end cut through with the pilot and the tip of the input shaft, to scale of the lengths entered"
  >
    <path :d="`M${FACE} 30 H20 V220 H${FACE} V158 H${FACE - hole * PX} V92 H${FACE} z`" class="cut" />
    <rect
      :x="FACE - (depth + length) * PX"
      y="92"
      :width="length * PX"
      height="14"
      fill="var(--action)"
      stroke="none"
    />
    <rect
      :x="FACE - (depth + length) * PX"
      y="144"
      :width="length * PX"
      height="14"
      fill="var(--action)"
      stroke="none"
    />
    <path
      :d="`M${FACE - reach * PX} 108 V142 H${FACE - (reach - tip) * PX} V158 H318 V92 H${FACE - (reach - tip) * PX} V108 z`"
      fill="var(--paper)"
    />
    <line :x1="FACE" :x2="FACE - depth * PX" y1="186" y2="186" class="measure" />
    <text :x="FACE - (depth * PX) / 2" y="206" text-anchor="middle">depth</text>
    <line :x1="FACE - depth * PX" :x2="FACE - reach * PX" y1="76" y2="76" class="measure" />
    <text :x="FACE - ((depth + reach) * PX) / 2" y="66" text-anchor="middle">held</text>
    <text x="280" y="130" text-anchor="middle">shaft</text
    ><text x="60" y="60" text-anchor="middle" style="fill: var(--ink)">crank</text>
  </DrawingFrame>
</template>
