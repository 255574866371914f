<script setup lang="ts">
/** The pile in its order, from the flywheel to the cover, with the paint marks in line. */
const layers = [
  { x: 24, w: 34, name: 'flywheel' },
  { x: 78, w: 14, name: 'disc 1' },
  { x: 112, w: 22, name: 'plate' },
  { x: 154, w: 14, name: 'disc 2' },
  { x: 190, w: 40, name: 'cover' },
]
</script>

<template>
  <DrawingFrame
    label="The pile in its order: flywheel, first disc, intermediate plate, second disc, cover, with paint marks in line"
  >
    <g v-for="(layer, index) in layers" :key="layer.name">
      <rect :x="layer.x" y="40" :width="layer.w" height="150" :class="index % 2 === 0 ? 'cut' : ''" />
      <text :x="layer.x + layer.w / 2" :y="index % 2 ? 232 : 212" text-anchor="middle">{{ layer.name }}</text>
      <rect
        v-if="index % 2 === 0"
        :x="layer.x"
        y="40"
        :width="layer.w"
        height="9"
        fill="var(--attention)"
        stroke="none"
      />
    </g>
    <path d="M70 96 h30 M70 134 h30 M146 96 h34 M146 134 h34" class="quiet" />
    <text x="24" y="28">paint marks in one line</text>
    <text x="252" y="120">to the box</text
    ><path d="M246 134 h56" stroke="var(--action)" stroke-width="3" marker-end="url(#bench-arrow)" />
  </DrawingFrame>
</template>
