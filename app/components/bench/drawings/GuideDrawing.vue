<script setup lang="ts">
/** Input shaft in its guide: splines, tip, seal, and where play is felt. */
</script>

<template>
  <DrawingFrame label="Input shaft in its guide with splines, tip and seal, and where play is felt">
    <path d="M16 60 h60 v130 h-60 z" class="cut" /><path d="M76 92 h96 v12 h-96 z M76 146 h96 v12 h-96 z" />
    <path d="M62 104 h14 v42 h-14 z" fill="var(--action)" stroke="none" />
    <path d="M30 108 h170 v34 h-170 z" fill="var(--paper)" /><path d="M200 106 h60 v38 h-60 z" /><path
      v-for="n in 7"
      :key="n"
      :d="`M200 ${106 + n * 4.8} h60`"
      class="quiet"
    />
    <path d="M260 114 h44 v22 h-44 z" />
    <line x1="292" x2="292" y1="70" y2="182" class="measure" /><text x="292" y="60" text-anchor="middle">play</text>
    <text x="230" y="170" text-anchor="middle">splines</text><text x="124" y="82" text-anchor="middle">guide</text
    ><text x="70" y="210" text-anchor="middle">seal</text><path d="M69 194 v-44" class="quiet" />
  </DrawingFrame>
</template>
