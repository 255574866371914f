<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { area, line as linePath } from 'd3-shape'
import type { SheetValues } from '../../../../core/bench'
import { releaseChain } from '../../../../core/hydraulics'
import type { ReleaseReport } from '../../../../core/hydraulics'
import { sheetNumber } from '../../../words/sheet-number'

/** The chain from the pad to the plate, and how far each face lifts over the travel of the pedal. */
const props = defineProps<{ values: SheetValues }>()
const number = (id: string, usual: number) => sheetNumber(props.values, id, usual)
const cable = computed(() => props.values.linkage?.kind === 'choice' && props.values.linkage.answer === 'cable')
const travel = computed(() => number('travel', 145))
const lift = computed(() => number('lift', 0.75))
const found = computed((): ReleaseReport | null => {
  try {
    return releaseChain({
      linkage: cable.value
        ? { kind: 'cable', ratio: number('lever', 1), stretchMm: number('stretch', 1) }
        : { kind: 'hydraulic', masterBoreMm: number('master', 19), slaveBoreMm: number('slave', 22) },
      pedalTravelMm: travel.value,
      pedalRatio: number('ratio', 6),
      forkRatio: number('fork', 1),
      fingerRatio: number('fingers', 3.2),
      faces: number('faces', 2),
      freePlayMm: number('free', 6),
      lostMm: cable.value ? 0 : number('lost', 0),
      liftWantedMm: lift.value,
      bearingMostMm: number('most', 11),
      releaseN: number('load', 1800),
    })
  } catch {
    return null
  }
})
const [LEFT, RIGHT, FLOOR, ROOF] = [38, 304, 232, 122]
const x = computed(() => scaleLinear([0, travel.value], [LEFT, RIGHT]))
const y = computed(() => scaleLinear([0, Math.max(lift.value * 1.25, found.value?.liftPerFaceMm ?? 0)], [FLOOR, ROOF]))
const curve = computed(
  () =>
    linePath<{ pedalMm: number; liftPerFaceMm: number }>(
      point => x.value(point.pedalMm),
      point => y.value(point.liftPerFaceMm),
    )(found.value?.curve ?? []) ?? '',
)
const freed = computed(
  () =>
    area<{ pedalMm: number; liftPerFaceMm: number }>(
      point => x.value(point.pedalMm),
      FLOOR,
      point => y.value(point.liftPerFaceMm),
    )(
      (found.value?.curve ?? []).filter(
        point => found.value!.releasedMm !== null && point.pedalMm >= found.value!.releasedMm,
      ),
    ) ?? '',
)
const units = useUnits()
</script>

<template>
  <DrawingFrame
    label="Pad, master, slave, fork and fingers in a row; under them the lift of each face over the travel of the pedal, with free play, take-up and release"
  >
    <path d="M22 14 L34 66" stroke-width="5" /><circle cx="22" cy="14" r="4" /><path d="M27 34 h22" stroke-width="3" />
    <template v-if="!cable"
      ><rect x="49" y="26" width="36" height="16" class="cut" /><path
        d="M85 34 h40"
        class="quiet"
        stroke-width="3" /><rect x="125" y="24" width="42" height="20" class="cut"
    /></template>
    <path v-else d="M49 34 q36 26 76 4 l42 0" class="quiet" stroke-width="3" />
    <path d="M167 34 h20 M187 18 v52" stroke-width="3" /><path d="M187 66 h28" stroke-width="3" /><rect
      x="215"
      y="52"
      width="12"
      height="28"
      fill="var(--tint)"
    />
    <path d="M227 66 L262 24 M262 16 v24 M262 62 v40" stroke-width="3" /><rect
      x="274"
      y="16"
      width="9"
      height="86"
      class="cut"
    /><rect x="290" y="16" width="12" height="86" class="cut" />
    <line :x1="LEFT" :x2="RIGHT" :y1="FLOOR" :y2="FLOOR" /><line :x1="LEFT" :x2="LEFT" :y1="FLOOR" :y2="ROOF - 4" />
    <line :x1="LEFT" :x2="RIGHT" :y1="y(lift)" :y2="y(lift)" class="quiet" stroke-dasharray="5 4" /><text
      :x="LEFT + 5"
      :y="y(lift) - 5"
      >{{ units.measure(lift, 'mm') }} free</text
    >
    <template v-if="found">
      <path :d="freed" fill="var(--good)" fill-opacity="0.25" stroke="none" />
      <path :d="curve" stroke="var(--action)" stroke-width="4" />
      <path :d="`M${x(found.takeUpMm)} ${FLOOR} v8`" stroke-width="3" />
      <path
        v-if="found.releasedMm !== null"
        :d="`M${x(found.releasedMm)} ${FLOOR} v8`"
        stroke="var(--good)"
        stroke-width="3"
      />
      <path
        v-if="found.overMm !== null"
        :d="`M${x(found.overMm)} ${FLOOR} V${ROOF}`"
        stroke="var(--danger)"
        stroke-width="2.5"
        stroke-dasharray="6 4"
      />
    </template>
    <text :x="RIGHT" y="249" text-anchor="end">pedal {{ units.measure(travel, 'mm') }}</text>
  </DrawingFrame>
</template>
