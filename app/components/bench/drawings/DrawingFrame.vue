<script setup lang="ts">
/** The paper of a drawing: one size, one pen, words that can be read. */
defineProps<{ label: string }>()
</script>

<template>
  <svg
    viewBox="0 0 320 250"
    role="img"
    :aria-label="label"
    fill="none"
    stroke="var(--ink)"
    stroke-width="2"
    stroke-linejoin="round"
    stroke-linecap="round"
    class="w-full"
  >
    <defs>
      <pattern id="bench-cut" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="7" stroke="var(--line)" stroke-width="1.5" />
      </pattern>
      <marker
        id="bench-arrow"
        viewBox="0 0 10 10"
        refX="9"
        refY="5"
        markerWidth="7"
        markerHeight="7"
        orient="auto-start-reverse"
      >
        <path d="M0 0 L10 5 L0 10 z" fill="var(--action)" stroke="none" />
      </marker>
    </defs>
    <slot />
  </svg>
</template>

<style scoped>
svg :deep(text) {
  font: 600 18px var(--font-text);
  fill: var(--ink);
  stroke: var(--paper);
  stroke-width: 5px;
  paint-order: stroke;
}
svg :deep(.measure) {
  stroke: var(--action);
  stroke-width: 2.5;
  marker-start: url(#bench-arrow);
  marker-end: url(#bench-arrow);
}
svg :deep(.cut) {
  fill: url(#bench-cut);
}
svg :deep(.quiet) {
  stroke: var(--line);
}
</style>
