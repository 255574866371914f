<script setup lang="ts">
/** Clamp load on a ring of lining, and the radii that count. */
</script>

<template>
  <DrawingFrame label="Ring of lining with its inner and outer diameter, pressed by the clamp load">
    <circle cx="120" cy="128" r="98" class="cut" /><circle cx="120" cy="128" r="60" fill="var(--paper)" />
    <line x1="22" x2="218" y1="128" y2="128" class="measure" /><text x="120" y="118" text-anchor="middle">outside</text>
    <line x1="60" x2="180" y1="156" y2="156" class="measure" /><text x="120" y="176" text-anchor="middle">inside</text>
    <g transform="translate(250 60)">
      <rect x="0" y="0" width="12" height="140" class="cut" /><rect x="20" y="0" width="12" height="140" class="cut" />
      <path
        v-for="y in [30, 70, 110]"
        :key="y"
        :d="`M62 ${y} h-24`"
        stroke="var(--action)"
        stroke-width="3"
        marker-end="url(#bench-arrow)"
      />
      <text x="20" y="164" text-anchor="middle">clamp load</text>
    </g>
  </DrawingFrame>
</template>
