<script setup lang="ts">
/** An engine held from above by a beam, and from below by a jack with timber from rim to rim. */
</script>

<template>
  <DrawingFrame
    label="Left: an engine hangs by a chain from a beam across the bay. Right: a jack stands under it with a timber from rim to rim of the sump"
  >
    <line x1="10" x2="150" y1="34" y2="34" stroke-width="8" /><path d="M26 34 v14 M134 34 v14" stroke-width="4" />
    <path d="M80 38 v26 l-20 18 M80 64 l20 18" stroke-width="3" />
    <rect x="42" y="82" width="76" height="62" class="cut" /><path d="M48 144 h64 l-8 26 h-48 Z" class="cut" />
    <text x="80" y="222" text-anchor="middle">from above</text>
    <rect x="202" y="82" width="76" height="54" class="cut" /><path d="M208 136 h64 l-8 22 h-48 Z" class="cut" />
    <rect x="200" y="160" width="80" height="11" fill="var(--tint)" /><path
      d="M240 171 v20 M214 200 h52 l-14 -9 h-24 Z"
      stroke-width="4"
    />
    <text x="240" y="222" text-anchor="middle">from below</text><text x="288" y="170" class="quiet">timber</text>
    <line x1="10" x2="310" y1="201" y2="201" />
  </DrawingFrame>
</template>
