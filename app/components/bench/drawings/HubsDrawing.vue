<script setup lang="ts">
/** One tool through two hubs. */
</script>

<template>
  <DrawingFrame label="One tool through the hubs of both discs">
    <path
      d="M110 30 h16 v74 h-16 z M110 146 h16 v74 h-16 z M196 36 h16 v72 h-16 z M196 150 h16 v72 h-16 z"
      class="cut"
    />
    <path d="M98 96 h40 v12 h-40 z M98 142 h40 v12 h-40 z M184 100 h40 v12 h-40 z M184 146 h40 v12 h-40 z" />
    <path d="M20 112 h280 v28 h-280 z" fill="var(--paper)" />
    <line x1="60" x2="60" y1="96" y2="112" stroke="var(--action)" stroke-width="3" /><text
      x="60"
      y="88"
      text-anchor="middle"
      >play</text
    >
    <text x="118" y="240" text-anchor="middle">first</text><text x="204" y="240" text-anchor="middle">second</text
    ><text x="270" y="131" text-anchor="middle">tool</text>
  </DrawingFrame>
</template>
