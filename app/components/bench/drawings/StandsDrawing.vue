<script setup lang="ts">
/** The car with its front on stands, the box beneath, and what is measured. */
</script>

<template>
  <DrawingFrame label="Car with its front on stands: axle, stands, lowest edge and the box on its jack">
    <path d="M22 112 L30 84 L84 72 L124 40 L224 44 L262 92 L298 108 L296 130 L24 122 z" />
    <circle cx="256" cy="150" r="26" /><circle cx="66" cy="126" r="6" />
    <path d="M96 206 L104 122 L112 206 z" fill="var(--paper)" />
    <path d="M40 206 L52 190 h40 l12 16 z" class="cut" /><ellipse
      cx="66"
      cy="170"
      rx="30"
      ry="20"
      fill="var(--action)"
      fill-opacity="0.25"
    />
    <line x1="6" x2="314" y1="207" y2="207" stroke-width="3" />
    <line x1="66" x2="104" y1="60" y2="60" class="measure" /><text x="16" y="54">axle to stand</text>
    <line x1="20" x2="20" y1="122" y2="206" class="measure" /><text x="28" y="150">edge</text>
    <line x1="104" x2="256" y1="228" y2="228" class="measure" /><text x="180" y="247" text-anchor="middle"
      >to the axle that stays</text
    >
  </DrawingFrame>
</template>
