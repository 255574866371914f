<script setup lang="ts">
/** Fluid pumped through one line and the cooler, and caught at the other until it comes new. */
</script>

<template>
  <DrawingFrame label="Fluid is pumped into one line, through the cooler, and caught at the end of the other">
    <path d="M70 26 H250 V86 H70 z" class="cut" />
    <path d="M84 36 H236 V48 H84 V62 H236 V76 H84" stroke="var(--action)" stroke-width="3" />
    <path d="M70 42 H36 V168 M250 72 H284 V158" stroke-width="5" />
    <path d="M18 168 H54 V228 H18 z" fill="var(--paper)" />
    <line x1="36" x2="36" y1="198" y2="176" class="measure" style="marker-start: none" />
    <path d="M254 166 H314 L306 232 H262 z" fill="var(--paper)" />
    <path d="M258 196 H310 L306 230 H262 z" fill="var(--tint)" stroke="none" />
    <line x1="284" x2="284" y1="160" y2="188" class="measure" style="marker-start: none" />
    <text x="160" y="112" text-anchor="middle">cooler</text>
    <text x="66" y="214">in, new</text>
    <text x="246" y="150" text-anchor="end">out: count it,</text>
    <text x="246" y="172" text-anchor="end">look at it</text>
  </DrawingFrame>
</template>
