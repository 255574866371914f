<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'

/** The cover from the box end: its fingers, those measured marked with how they stand. */
const props = defineProps<{ values: SheetValues }>()
const FINGERS = 18
const measured = computed(() => {
  const value = props.values.heights
  return value?.kind === 'points' ? value.entries : []
})
const fingers = computed(() =>
  Array.from({ length: FINGERS }, (_, index) => {
    const step = measured.value.length > 0 ? FINGERS / measured.value.length : 0
    const place =
      step > 0 && index % step < 1 && Math.round(index / step) * step - index < 1 ? Math.round(index / step) : -1
    return { angle: (index / FINGERS) * 360, mm: measured.value[place]?.value ?? null, place }
  }),
)
const known = computed(() => measured.value.flatMap(entry => entry.value ?? []))
const tone = (mm: number | null) =>
  mm === null || known.value.length < 2
    ? 'var(--line)'
    : mm === Math.max(...known.value)
      ? 'var(--attention)'
      : mm === Math.min(...known.value)
        ? 'var(--danger)'
        : 'var(--action)'
</script>

<template>
  <DrawingFrame label="Cover from the box end with its fingers; those measured are marked">
    <circle cx="160" cy="125" r="112" />
    <circle cx="160" cy="125" r="84" class="quiet" />
    <g v-for="finger in fingers" :key="finger.angle" :transform="`rotate(${finger.angle} 160 125)`">
      <path
        d="M152 46 L156 92 L164 92 L168 46 z"
        :stroke="finger.mm === null ? 'var(--line)' : tone(finger.mm)"
        :fill="finger.mm === null ? 'none' : tone(finger.mm)"
        fill-opacity="0.35"
      />
    </g>
    <circle cx="160" cy="125" r="30" />
    <g v-for="n in 6" :key="n" :transform="`rotate(${n * 60} 160 125)`"
      ><circle cx="160" cy="20" r="5" class="quiet"
    /></g>
    <text x="160" y="130" text-anchor="middle">box</text>
  </DrawingFrame>
</template>
