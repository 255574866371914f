<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'

/** The disc from its face with the places measured, and its rim cut through. */
const props = defineProps<{ values: SheetValues }>()
const places = computed(() => {
  const value = props.values.thickness
  const entries = value?.kind === 'points' ? value.entries : []
  const count = Math.max(entries.length, 4)
  const numbers = entries.flatMap(entry => entry.value ?? [])
  return Array.from({ length: count }, (_, index) => {
    const angle = (index / count) * 2 * Math.PI
    const mm = entries[index]?.value ?? null
    return {
      x: 112 + 74 * Math.sin(angle),
      y: 118 - 74 * Math.cos(angle),
      mm,
      thinnest: mm !== null && numbers.length > 1 && mm === Math.min(...numbers),
    }
  })
})
</script>

<template>
  <DrawingFrame
    label="Clutch disc from its face, with the places where its thickness is measured, and its rim cut through"
  >
    <circle cx="112" cy="118" r="100" />
    <circle cx="112" cy="118" r="56" class="quiet" />
    <circle cx="112" cy="118" r="40" class="quiet" />
    <g v-for="n in 4" :key="n" :transform="`rotate(${n * 90 - 45} 112 118)`"
      ><rect x="96" y="70" width="32" height="14" rx="6" class="quiet"
    /></g>
    <circle cx="112" cy="118" r="14" stroke-dasharray="3 3" stroke-width="4" />
    <g v-for="(place, index) in places" :key="index">
      <circle
        :cx="place.x"
        :cy="place.y"
        r="11"
        :fill="place.mm === null ? 'var(--paper)' : place.thinnest ? 'var(--attention)' : 'var(--action)'"
        :stroke="place.mm === null ? 'var(--action)' : 'none'"
        stroke-dasharray="4 3"
      />
      <text
        :x="place.x"
        :y="place.y + 6"
        text-anchor="middle"
        :style="place.mm === null ? '' : 'fill: var(--paper); stroke: none'"
        >{{ index + 1 }}</text
      >
    </g>
    <g transform="translate(252 30)">
      <rect x="0" y="0" width="14" height="170" class="cut" /><rect x="26" y="0" width="14" height="170" class="cut" />
      <rect x="14" y="0" width="12" height="190" />
      <path d="M7 60 h26" stroke-width="5" /><path d="M7 110 h26" stroke-width="5" />
      <line x1="0" x2="40" y1="-12" y2="-12" class="measure" />
      <text x="20" y="212" text-anchor="middle">rim</text>
    </g>
  </DrawingFrame>
</template>
