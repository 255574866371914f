<script setup lang="ts">
import type { Bay, CarPosition, DrawnPart } from '../../../core/packs'

/** A small drawing of the car's state: how high it stands, what is off (ghosted), what holds the weight. */
const props = defineProps<{ bay: Bay; car: CarPosition; parts: DrawnPart[] }>()
const isAway = computed(() => props.car === props.bay.stances[1].id)
const off = (part: DrawnPart) => props.parts.includes(part)
const drawn = (part: DrawnPart) => (off(part) ? 'ghost' : 'whole')
const lift = computed(() => (isAway.value ? -13 : 0))
const words = computed(() =>
  [
    props.bay.stances[isAway.value ? 1 : 0].said,
    off('wheels') && 'front wheels off',
    off('gearbox') && 'box out',
    off('transfer-case') && 'transfer case out',
    off('propshaft') && 'shaft out',
    off('exhaust') && 'exhaust off',
    off('subframe') && 'subframe down',
    off('engine-support') && 'engine held from above',
    off('box-jack') && 'box on its jack',
    off('pan') && 'pan of the box off',
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <svg viewBox="0 0 132 66" role="img" :aria-label="words" fill="none" stroke="currentColor">
    <line x1="2" y1="62.5" x2="130" y2="62.5" class="heavy" />
    <g :transform="`translate(0 ${lift})`">
      <path d="M8 50 L8 37 L27 32 L45 17 L88 17 L106 33 L124 37 L124 50 Z" fill="var(--sheet)" class="line" />
      <path d="M51 21 L84 21 L96 32 L39 32 Z" class="thin" />
      <rect x="12" y="37.5" width="12" height="9" class="line" fill="var(--tint)" />
      <rect x="25.5" y="39" width="9.5" height="7.5" :class="drawn('gearbox')" />
      <rect x="36.5" y="38.5" width="5" height="4" :class="drawn('battery')" />
      <rect x="27" y="34.2" width="8" height="3" :class="drawn('intake')" />
      <circle cx="26" cy="54" r="8" fill="var(--sheet)" :class="drawn('wheels')" />
      <circle v-if="off('wheels')" cx="26" cy="54" r="2.2" class="line" fill="var(--sheet)" />
      <circle cx="104" cy="54" r="8" fill="var(--sheet)" class="line" />
      <line v-if="off('propshaft')" x1="44" y1="46" x2="98" y2="48" class="ghost" />
      <path v-if="off('exhaust')" d="M40 49 H76 l6 2 H112" class="ghost" />
      <rect v-if="off('transfer-case')" x="44" y="43" width="9" height="6" class="ghost" />
      <line v-if="off('crossmember') || off('subframe')" x1="32" y1="50" x2="48" y2="50" class="ghost" />
      <path v-if="off('pan')" d="M36 47 h12 v3 h-12 z" class="ghost" />
      <line v-if="off('undertray')" x1="38" y1="52.5" x2="62" y2="52.5" class="ghost" />
      <g v-if="off('engine-support')">
        <line x1="5" y1="27" x2="38" y2="27" class="heavy" />
        <line x1="18" y1="27" x2="18" y2="37.5" class="line" />
      </g>
    </g>
    <g v-if="isAway" class="line">
      <g v-if="off('lift')">
        <line x1="66" y1="62" x2="66" y2="38" class="heavy" />
        <line x1="48" y1="38" x2="86" y2="38" class="heavy" />
      </g>
      <g v-else>
        <path d="M45 62 L49.5 38 L54 62" />
        <path d="M78 62 L82.5 38 L87 62" />
      </g>
    </g>
    <path v-if="off('box-jack')" d="M26 61.5 L33 50 L40 61.5 Z" fill="var(--sheet)" class="line" />
  </svg>
</template>

<style scoped>
svg * {
  vector-effect: non-scaling-stroke;
}
.line,
.whole {
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
