<script setup lang="ts">
/** A flexplate: where it cracks, its pads, its ring gear, and where the dial stands. */
const holes = Array.from({ length: 6 }, (_, index) => (index * Math.PI) / 3)
const pads = Array.from({ length: 3 }, (_, index) => Math.PI / 6 + (index * 2 * Math.PI) / 3)
const at = (radius: number, angle: number) => ({
  x: 150 + radius * Math.cos(angle),
  y: 125 + radius * Math.sin(angle),
})
</script>

<template>
  <DrawingFrame
    label="Flexplate from its face: cracks start at the crank bolts, the dial stands near the rim, pads and ring gear"
  >
    <circle cx="150" cy="125" r="112" />
    <circle cx="150" cy="125" r="103" stroke-dasharray="4 4" />
    <circle cx="150" cy="125" r="46" class="cut" />
    <circle
      v-for="angle in holes"
      :key="`h${angle}`"
      :cx="at(32, angle).x"
      :cy="at(32, angle).y"
      r="5"
      fill="var(--paper)"
    />
    <circle
      v-for="angle in pads"
      :key="`p${angle}`"
      :cx="at(82, angle).x"
      :cy="at(82, angle).y"
      r="13"
      fill="var(--paper)"
      stroke="var(--action)"
      stroke-width="3"
    />
    <path d="M178 109 l8 -6 l2 -9 l10 -4" stroke="var(--danger)" stroke-width="3.5" />
    <path d="M150 157 l-4 10 l4 8 l-3 9" stroke="var(--danger)" stroke-width="3.5" />
    <path d="M262 60 h34 v26 h-34 z M262 73 H240" />
    <text x="128" y="192" text-anchor="end" style="fill: var(--danger)">crack</text>
    <text x="282" y="106" text-anchor="middle" style="font-size: 15px">dial</text>
    <text x="150" y="131" text-anchor="middle" style="font-size: 15px">crank</text>
    <text x="286" y="182" text-anchor="middle" style="font-size: 15px">pads</text>
    <text x="286" y="234" text-anchor="middle" style="font-size: 15px">teeth</text>
  </DrawingFrame>
</template>
