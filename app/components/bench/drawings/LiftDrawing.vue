<script setup lang="ts">
/** Where reach, height and way of a lift are measured. */
</script>

<template>
  <DrawingFrame label="A person kneeling with a box in the hands: reach, height at the start and way are marked">
    <circle cx="96" cy="62" r="18" /><path
      d="M96 80 L92 150 L60 196 M92 150 L118 196 L150 200 M94 96 L150 132 M94 104 L150 140"
      stroke-width="4"
    />
    <rect x="150" y="112" width="60" height="46" class="cut" />
    <line x1="92" x2="180" y1="222" y2="222" class="measure" /><text x="136" y="244" text-anchor="middle">reach</text
    ><path d="M92 204 v22 M180 160 v66" class="quiet" stroke-dasharray="4 4" />
    <line x1="236" x2="236" y1="204" y2="135" class="measure" /><text x="244" y="176">height</text>
    <line x1="262" x2="262" y1="135" y2="60" class="measure" /><text x="270" y="98">way</text>
    <line x1="10" x2="310" y1="206" y2="206" />
  </DrawingFrame>
</template>
