<script setup lang="ts">
/** The pedal from the side: top, bite, floor. */
</script>

<template>
  <DrawingFrame
    label="The pedal from the side with its free play at the top, the height at which it bites, and the floor"
  >
    <circle cx="70" cy="26" r="7" /><path d="M70 26 L150 92 l26 -10" stroke-width="5" /><path
      d="M70 26 L120 150 l28 2"
      stroke-width="3"
      stroke-dasharray="6 5"
      class="quiet"
    /><path d="M70 26 L96 202 l28 6" stroke-width="3" stroke-dasharray="3 5" class="quiet" />
    <line x1="40" x2="300" y1="214" y2="214" />
    <line x1="204" x2="204" y1="70" y2="116" class="measure" /><text x="216" y="99">free play</text>
    <line x1="204" x2="204" y1="152" y2="212" class="measure" /><text x="196" y="188" text-anchor="end">bite</text>
    <text x="60" y="240">floor</text>
  </DrawingFrame>
</template>
