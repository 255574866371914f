<script setup lang="ts">
/** Engine and box about their mounts: the tail goes down, the top goes back. */
</script>

<template>
  <DrawingFrame label="Engine and box turning about the mounts: the tail goes down, the top goes towards the bulkhead">
    <g transform="rotate(7 96 150)"
      ><path d="M40 70 h92 v104 h-92 z" class="cut" /><path
        d="M132 92 h40 l92 34 v28 l-92 12 h-40 z"
        fill="var(--paper)"
    /></g>
    <circle cx="96" cy="150" r="8" fill="var(--action)" stroke="none" /><text x="40" y="212">mounts</text
    ><path d="M80 198 L92 158" class="quiet" /> <path d="M186 20 v100" stroke-width="5" /><text x="194" y="40"
      >bulkhead</text
    >
    <line x1="150" x2="184" y1="64" y2="64" class="measure" /><text x="120" y="54" text-anchor="middle">room</text>
    <line x1="270" x2="270" y1="150" y2="200" class="measure" /><text x="262" y="222" text-anchor="end"
      >tail goes down</text
    >
  </DrawingFrame>
</template>
