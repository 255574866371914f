<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { sheetNumber } from '../../../words/sheet-number'

/** Disc and shaft side by side, each as it is seen, with the marked tooth against the bell hole on top. */
const props = defineProps<{ values: SheetValues }>()
const number = (id: string, usual: number) => sheetNumber(props.values, id, usual)
const splines = computed(() => Math.max(4, Math.min(60, number('splines', 24))))
const teeth = (radius: number, depth: number, fromDeg: number) =>
  Array.from({ length: splines.value }, (_, index) => {
    const angle = ((fromDeg + (index * 360) / splines.value - 90) * Math.PI) / 180
    return `M${(radius * Math.cos(angle)).toFixed(1)} ${(radius * Math.sin(angle)).toFixed(1)} L${((radius + depth) * Math.cos(angle)).toFixed(1)} ${((radius + depth) * Math.sin(angle)).toFixed(1)}`
  }).join(' ')
const entered = computed(() => props.values.disc !== undefined && props.values.shaft !== undefined)
</script>

<template>
  <DrawingFrame
    label="Disc seen from the box end and shaft seen as one looks into the bell, each with its marked tooth against the bell hole"
  >
    <g
      v-for="side in [
        { id: 'disc', x: 84, deg: number('disc', 20), word: 'disc', seen: 'from the box' },
        { id: 'shaft', x: 236, deg: number('shaft', 340), word: 'shaft', seen: 'into the bell' },
      ]"
      :key="side.id"
      :transform="`translate(${side.x} 118)`"
    >
      <circle r="62" class="quiet" /><circle cy="-78" r="7" fill="var(--ink)" stroke="none" />
      <circle :r="side.id === 'disc' ? 34 : 26" /><path :d="teeth(side.id === 'disc' ? 26 : 26, 8, side.deg)" />
      <g :transform="`rotate(${side.deg})`" :opacity="entered ? 1 : 0.5"
        ><path d="M0 0 V-62" stroke="var(--attention)" stroke-width="4"
      /></g>
      <text y="96" text-anchor="middle">{{ side.word }}</text><text
        y="116"
        text-anchor="middle"
        style="font-weight: 400"
        >{{ side.seen }}</text
      >
    </g>
    <text x="160" y="22" text-anchor="middle">bell hole on top</text>
  </DrawingFrame>
</template>
