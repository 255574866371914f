<script setup lang="ts">
import type { CarPosition, DrawnPart } from '../../../core/packs'

/** A small drawing of the car's state: how high it stands, what is off (ghosted), what holds the weight. */
const props = defineProps<{ car: CarPosition, parts: DrawnPart[] }>()
const off = (part: DrawnPart) => props.parts.includes(part)
const drawn = (part: DrawnPart) => off(part) ? 'ghost' : 'whole'
const lift = computed(() => props.car === 'raised' ? -13 : 0)
const words = computed(() => [
  props.car === 'raised' ? 'Car raised' : 'Car on the ground',
  off('wheels') && 'front wheels off', off('gearbox') && 'box out', off('engine-support') && 'engine held from above', off('box-jack') && 'box on its jack',
].filter(Boolean).join(', '))
</script>

<template>
  <svg viewBox="0 0 132 66" role="img" :aria-label="words" fill="none" stroke="currentColor" stroke-width="2">
    <line x1="2" y1="62" x2="130" y2="62" stroke-width="2.5" />
    <g :transform="`translate(0 ${lift})`">
      <path d="M8 50 L8 38 L26 33 L44 18 L88 18 L106 34 L124 38 L124 50 Z" stroke-linejoin="round" />
      <path d="M50 22 L84 22 L96 33 L38 33 Z" stroke-width="1.2" />
      <rect x="13" y="38" width="13" height="10" stroke-width="1.6" fill="var(--tint)" />
      <rect x="27" y="40" width="10" height="8" :class="drawn('gearbox')" />
      <rect x="15" y="34" width="6" height="3.5" :class="drawn('battery')" />
      <rect x="23" y="34.5" width="6" height="3" :class="drawn('intake')" />
      <circle cx="26" cy="53" r="8.5" fill="var(--sheet)" :class="drawn('wheels')" />
      <circle v-if="off('wheels')" cx="26" cy="53" r="2.5" stroke-width="1.6" />
      <circle cx="104" cy="53" r="8.5" fill="var(--sheet)" />
      <line v-if="off('undertray')" x1="38" y1="52.5" x2="60" y2="52.5" class="ghost" />
      <g v-if="off('engine-support')" stroke-width="2.6"><line x1="4" y1="29" x2="40" y2="29" /><line x1="19" y1="29" x2="19" y2="38" stroke-width="1.6" /></g>
    </g>
    <g v-if="car === 'raised'" stroke-width="2.2">
      <g v-if="off('lift')"><line x1="64" y1="62" x2="64" y2="39" /><line x1="48" y1="39" x2="84" y2="39" /></g>
      <g v-else><path d="M44 62 L49 39 L54 62" /><path d="M78 62 L83 39 L88 62" /></g>
    </g>
    <path v-if="off('box-jack')" d="M27 61 L34 47 L41 61 Z" fill="var(--sheet)" stroke-width="2" />
  </svg>
</template>

<style scoped>
.ghost { stroke-dasharray: 2.5 2.5; fill: none; opacity: 0.75; }
</style>
