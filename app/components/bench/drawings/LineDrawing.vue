<script setup lang="ts">
/** A clutch line with bubbles: they gather where it runs level and climb where it rises. */
</script>

<template>
  <DrawingFrame label="Line from the slave up to the reservoir with bubbles in its level part and in the slave">
    <rect x="232" y="18" width="62" height="58" /><path d="M232 38 h62" class="quiet" /><text
      x="298"
      y="98"
      text-anchor="end"
      >reservoir</text
    >
    <path d="M50 196 L104 168 L190 160 L250 76" stroke-width="13" stroke="var(--line)" /><path
      d="M50 196 L104 168 L190 160 L250 76"
      stroke-width="9"
      stroke="var(--paper)"
    />
    <rect x="18" y="182" width="44" height="34" class="cut" /><text x="40" y="240" text-anchor="middle">slave</text>
    <circle
      v-for="(bubble, index) in [
        [118, 166, 4],
        [138, 164, 3],
        [150, 163, 4.5],
        [172, 161, 3],
        [212, 128, 3],
        [228, 106, 2.5],
        [34, 190, 4],
        [48, 190, 3],
      ]"
      :key="index"
      :cx="bubble[0]"
      :cy="bubble[1]"
      :r="bubble[2]"
      fill="var(--sheet)"
      stroke="var(--action)"
    />
    <path d="M196 132 L216 104" class="measure" /><text x="150" y="196" text-anchor="middle">level: air stays</text>
  </DrawingFrame>
</template>
