<script setup lang="ts">
/** Box from the side with filler and drain, level at the filler's edge. */
</script>

<template>
  <DrawingFrame label="Box from the side with filler and drain; the level stands at the filler's lower edge">
    <path d="M60 60 h180 v130 h-180 z" /><path d="M62 128 h176 v60 h-176 z" class="cut" stroke="none" />
    <circle cx="240" cy="122" r="10" fill="var(--paper)" /><circle cx="150" cy="190" r="10" fill="var(--paper)" />
    <path d="M300 70 L252 114" stroke="var(--action)" stroke-width="4" marker-end="url(#bench-arrow)" /><text
      x="256"
      y="60"
      text-anchor="middle"
      >fill</text
    >
    <path d="M150 202 v34" stroke="var(--attention)" stroke-width="4" marker-end="url(#bench-arrow)" /><text
      x="166"
      y="226"
      >drain</text
    >
    <path d="M40 128 h220" class="quiet" stroke-dasharray="5 5" /><text x="66" y="112">level</text>
  </DrawingFrame>
</template>
