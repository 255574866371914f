<script setup lang="ts">
/** Crank end with its seal, and the ways oil takes into the bell. */
</script>

<template>
  <DrawingFrame
    label="Crank end with its seal and the ways oil takes into the bell: seal lip, bolt threads, sump joint, plug of the camshaft above"
  >
    <path d="M30 40 h90 v150 h-90 z" class="cut" /><path d="M120 86 h110 v78 h-110 z" fill="var(--paper)" />
    <path d="M120 66 h26 v20 h-26 z M120 164 h26 v20 h-26 z" fill="var(--action)" stroke="none" />
    <path d="M230 70 h28 v110 h-28 z" class="cut" />
    <path d="M186 108 h72 M186 142 h72" stroke-width="7" class="quiet" />
    <path d="M30 200 h116 v26 h-116 z" class="cut" />
    <circle cx="98" cy="22" r="12" class="quiet" />
    <path
      d="M146 76 C180 60 196 64 206 76"
      stroke="var(--attention)"
      stroke-width="3"
      marker-end="url(#bench-arrow)"
    /><text x="150" y="52">1 lip</text>
    <path d="M258 108 C276 112 280 124 278 140" stroke="var(--attention)" stroke-width="3" /><text x="262" y="98"
      >2 bolts</text
    >
    <path d="M148 206 C166 196 170 190 176 178" stroke="var(--attention)" stroke-width="3" /><text x="154" y="224"
      >3 sump</text
    >
    <path d="M110 26 C128 34 130 44 130 58" stroke="var(--attention)" stroke-width="3" /><text x="118" y="18"
      >4 plug above</text
    >
    <text x="64" y="128" text-anchor="middle">block</text><text x="176" y="130" text-anchor="middle">crank</text>
  </DrawingFrame>
</template>
