<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { cutCentre } from '../../../../core/driveline'
import { sheetNumber } from '../../../words/sheet-number'

/** Engine, bell and box from the side under the floor: the mark, and where the middle of the opening comes, to scale along the car. */
const props = defineProps<{ values: SheetValues }>()
const number = (id: string, usual: number) => sheetNumber(props.values, id, usual)
const measures = computed(() => ({
  length: number('length', 520),
  between: number('between', 0),
  rise: number('rise', 90),
  fall: number('fall', 3),
  mark: number('mark', 400),
}))
const centre = computed(() => {
  const { length, between, rise, fall, mark } = measures.value
  try {
    return (
      mark +
      cutCentre({ bellToShifterMm: length, betweenMm: between, riseMm: rise, fallDeg: fall, engineToMarkMm: mark })
        .behindMarkMm
    )
  } catch {
    return length + between
  }
})
const LEFT = 50
const scale = computed(() => 210 / Math.max(centre.value, measures.value.mark, 100))
const at = (mm: number) => LEFT + mm * scale.value
const boxEnd = computed(() => Math.min(300, at((measures.value.length + measures.value.between) * 1.12)))
</script>

<template>
  <DrawingFrame
    label="The box under the floor from the side: the mark on the floor, and the middle of the opening over the shifter"
  >
    <path :d="`M${LEFT - 40} 110 H${LEFT} V190 H${LEFT - 40}`" class="cut" />
    <path :d="`M${LEFT} 112 L${LEFT + 46} 126 V176 L${LEFT} 188`" />
    <path
      :d="`M${LEFT + 46} 128 L${boxEnd} ${128 + measures.fall * 2} V${172 + measures.fall * 2} L${LEFT + 46} 174`"
    />
    <line x1="10" :x2="at(centre) - 16" y1="78" y2="78" stroke-width="4" /><line
      :x1="at(centre) + 16"
      x2="312"
      y1="78"
      y2="78"
      stroke-width="4"
    />
    <path :d="`M${at(centre)} ${128 + measures.fall} V40`" stroke-width="5" /><circle :cx="at(centre)" cy="34" r="8" />
    <path :d="`M${at(measures.mark)} 68 l-7 -14 h14 z`" /><text :x="at(measures.mark) - 12" y="66" text-anchor="end"
      >mark</text
    >
    <line :x1="LEFT" :x2="at(measures.mark)" y1="96" y2="96" class="measure" />
    <line :x1="LEFT" :x2="at(centre)" y1="214" y2="214" class="measure" />
    <path
      :d="`M${LEFT} 190 V228 M${at(centre)} ${176 + measures.fall * 2} V228`"
      class="quiet"
      stroke-dasharray="4 4"
    />
    <text :x="(LEFT + at(centre)) / 2" y="240" text-anchor="middle">to the middle of the opening</text>
  </DrawingFrame>
</template>
