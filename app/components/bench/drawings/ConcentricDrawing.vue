<script setup lang="ts">
/** Slave round the input shaft: the two depths whose difference is the gap. */
</script>

<template>
  <DrawingFrame
    label="Slave round the input shaft: the depth from the bell's face to the bearing, and from the engine's face to the finger tips"
  >
    <path d="M20 40 h40 v170 h-40 z" class="cut" /><path
      d="M60 40 h110 v14 h-110 z M60 196 h110 v14 h-110 z"
      class="cut"
    />
    <path d="M60 92 h46 v66 h-46 z" fill="var(--paper)" /><path
      d="M106 84 h18 v82 h-18 z"
      fill="var(--action)"
      fill-opacity="0.3"
    />
    <path d="M170 30 v190" stroke-dasharray="6 5" />
    <path d="M280 40 h26 v170 h-26 z" class="cut" /><path d="M280 70 L204 112 M280 180 L204 138" stroke-width="4" />
    <line x1="124" x2="170" y1="70" y2="70" class="measure" /><text x="147" y="62" text-anchor="middle">1</text>
    <line x1="170" x2="204" y1="176" y2="176" class="measure" /><text x="187" y="196" text-anchor="middle">2</text>
    <text x="40" y="232" text-anchor="middle">bell</text><text x="292" y="232" text-anchor="middle">clutch</text
    ><text x="170" y="240" text-anchor="middle">face</text><text x="232" y="98" text-anchor="middle">tips</text>
  </DrawingFrame>
</template>
