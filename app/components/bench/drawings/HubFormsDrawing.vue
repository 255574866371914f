<script setup lang="ts">
/** Two hubs in section: turned or cast radius, taper, and a height on each side, by which an unmarked disc is told. */
</script>

<template>
  <DrawingFrame
    label="Two hubs in section beside each other: radius, taper and the height on each side are what is compared"
  >
    <g>
      <path d="M40 118 h110 v14 h-110 z" /><path d="M78 84 h34 v34 h-34 z M78 132 h34 v58 h-34 z" class="cut" />
      <path d="M112 132 q10 0 10 -0" /><path d="M70 132 q8 2 8 10 M120 132 q-8 2 -8 10" stroke="var(--action)" />
      <line x1="30" x2="30" y1="84" y2="118" class="measure" /><line
        x1="30"
        x2="30"
        y1="132"
        y2="190"
        class="measure"
      />
      <text x="95" y="216" text-anchor="middle">old</text>
    </g>
    <g transform="translate(160 0)">
      <path d="M20 118 h110 v14 h-110 z" /><path d="M58 84 h34 v34 h-34 z M58 132 h34 l-5 58 h-24 z" class="cut" />
      <text x="75" y="216" text-anchor="middle">new</text>
    </g>
    <text x="160" y="60" text-anchor="middle">engine side up</text>
    <text x="160" y="242" text-anchor="middle" style="font-size: 15px">radius, taper, height each side</text>
  </DrawingFrame>
</template>
