<script setup lang="ts">
/** The bell from the engine end: bore, face and dowels, with the dial carried round on the crank. */
</script>

<template>
  <DrawingFrame label="Bell seen from the engine end with bore, face and dowels; a dial carried round on the crank">
    <path d="M60 210 L44 120 C44 60 100 18 160 18 C220 18 276 60 276 120 L260 210 L200 236 L120 236 z" />
    <path d="M78 200 L64 122 C64 72 112 38 160 38 C208 38 256 72 256 122 L242 200 L196 220 L124 220 z" class="quiet" />
    <circle cx="160" cy="128" r="52" /><circle cx="160" cy="128" r="46" class="quiet" />
    <circle cx="56" cy="128" r="8" fill="var(--action)" stroke="none" /><circle
      cx="264"
      cy="128"
      r="8"
      fill="var(--action)"
      stroke="none"
    />
    <text x="36" y="108" text-anchor="middle">dowel</text><text x="286" y="108" text-anchor="middle">dowel</text>
    <path d="M160 128 L190 100" stroke-width="3" /><circle cx="176" cy="113" r="15" fill="var(--paper)" /><path
      d="M176 113 l6 -8"
      stroke="var(--action)"
      stroke-width="3"
    />
    <circle cx="160" cy="128" r="6" />
    <text x="160" y="170" text-anchor="middle">bore</text>
    <text x="160" y="212" text-anchor="middle">face</text>
  </DrawingFrame>
</template>
