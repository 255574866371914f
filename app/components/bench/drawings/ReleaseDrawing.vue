<script setup lang="ts">
/** Bearing on its guide, fork on its pivot, and where the height is measured. */
</script>

<template>
  <DrawingFrame
    label="Release bearing on its guide with the fork on its pivot, and where the contact height is measured"
  >
    <path d="M20 90 h200 v20 h-200 z M20 150 h200 v20 h-200 z" />
    <path d="M230 60 h26 v140 h-26 z" fill="var(--action)" fill-opacity="0.25" /><path
      d="M196 72 h34 v116 h-34 z"
      fill="var(--paper)"
    />
    <path d="M214 196 L150 232 L60 232" stroke-width="7" /><circle cx="110" cy="232" r="9" fill="var(--paper)" /><path
      d="M104 241 h12 l3 9 h-18 z"
      class="cut"
    />
    <line x1="20" x2="256" y1="36" y2="36" class="measure" /><path
      d="M20 28 v150 M256 28 v30"
      class="quiet"
      stroke-dasharray="4 4"
    />
    <text x="130" y="26" text-anchor="middle">contact height</text>
    <text x="70" y="136">guide</text><text x="262" y="140">fingers</text><text x="92" y="218">pivot</text
    ><text x="168" y="206" text-anchor="end">fork</text>
  </DrawingFrame>
</template>
