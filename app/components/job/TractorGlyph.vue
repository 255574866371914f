<script setup lang="ts">
import type { Bay, CarPosition, DrawnPart } from '../../../core/packs'

/** A small drawing of a tractor's state: in one piece or parted, what carries its halves, whether its clutch is out. */
const props = defineProps<{ bay: Bay; car: CarPosition; parts: DrawnPart[] }>()
const isParted = computed(() => props.car === props.bay.stances[1].id)
const has = (part: DrawnPart) => props.parts.includes(part)
const words = computed(() =>
  [
    props.bay.stances[isParted.value ? 1 : 0].said,
    has('stands') && 'blocked and chocked',
    has('box-jack') && 'front half carried',
    has('clutch') && 'clutch out',
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <svg viewBox="0 0 132 66" role="img" :aria-label="words" fill="none" stroke="currentColor">
    <line x1="2" y1="62.5" x2="130" y2="62.5" class="heavy" />
    <g :transform="`translate(${isParted ? -14 : 0} 0)`">
      <path d="M22 28 L58 26 L58 48 L22 47 Z" fill="var(--sheet)" class="line" />
      <path d="M50 26 V14" class="line" />
      <circle cx="30" cy="52" r="10" fill="var(--sheet)" class="line" />
      <rect x="58" y="31" width="4" height="13" :class="has('clutch') ? 'ghost' : 'line'" fill="var(--tint)" />
      <path v-if="has('box-jack')" d="M46 62 L49 49 h6 L58 62 Z" fill="var(--sheet)" class="line" />
    </g>
    <path d="M64 28 L84 26 L108 32 L108 46 L64 48 Z" fill="var(--sheet)" class="line" />
    <path d="M78 26 V12 H90 M90 12 V27" class="thin" />
    <circle cx="98" cy="45" r="17" fill="var(--sheet)" class="line" />
    <circle cx="98" cy="45" r="5" class="thin" />
    <path v-if="has('stands')" d="M66 62 L70 49 h5 L79 62 Z" fill="var(--sheet)" class="line" />
  </svg>
</template>

<style scoped>
svg * {
  vector-effect: non-scaling-stroke;
}
.line {
  stroke-width: 1.6;
  stroke-linejoin: round;
}
.thin {
  stroke-width: 1;
}
.heavy {
  stroke-width: 2.6;
}
.ghost {
  stroke-width: 1.3;
  stroke-dasharray: 3 3;
  fill: none;
}
</style>
