<script setup lang="ts">
/** The flywheel from its face with a dial gauge on it, and its rim cut through with the step. */
</script>

<template>
  <DrawingFrame
    label="Flywheel with the dial gauge on its face, turned by the crank; its rim cut through with the step"
  >
    <circle cx="110" cy="130" r="104" stroke-dasharray="5 4" />
    <circle cx="110" cy="130" r="94" />
    <circle cx="110" cy="130" r="78" class="quiet" /><circle cx="110" cy="130" r="48" class="quiet" />
    <g v-for="n in 6" :key="n" :transform="`rotate(${n * 60} 110 130)`"><circle cx="110" cy="106" r="5" /></g>
    <circle cx="110" cy="130" r="12" />
    <path d="M110 67 L150 34" /><circle cx="164" cy="24" r="19" fill="var(--paper)" /><path
      d="M164 24 L172 12"
      stroke="var(--action)"
      stroke-width="3"
    />
    <circle cx="110" cy="67" r="4" fill="var(--action)" stroke="none" />
    <path d="M38 176 A84 84 0 0 0 74 206" stroke="var(--action)" stroke-width="3" marker-end="url(#bench-arrow)" />
    <g transform="translate(226 44)">
      <path d="M0 0 h34 v34 h16 v92 h-16 v34 h-34 z" class="cut" />
      <line x1="50" x2="34" y1="16" y2="16" class="measure" /><text x="54" y="20">step</text>
      <line x1="0" x2="50" y1="180" y2="180" class="measure" />
    </g>
  </DrawingFrame>
</template>
