<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'

/** The tool in hub and pilot, its play drawn ten times too large. */
const props = defineProps<{ values: SheetValues }>()
const number = (id: string) => {
  const value = props.values[id]
  return value?.kind === 'number' ? value.entry.value : null
}
const play = computed(() => {
  const [tool, shaft] = [number('tool'), number('shaft')]
  return tool === null || shaft === null ? 4 : Math.max(0, Math.min(16, ((shaft - tool) / 2) * 10))
})
const wraps = computed(() => {
  const [tool, shaft] = [number('tool'), number('shaft')]
  return tool === null || shaft === null
    ? 0
    : Math.max(0, Math.floor((shaft - tool) / 2 / (number('tape') ?? 0.13) + 1e-9))
})
</script>

<template>
  <DrawingFrame label="Centring tool in the hub of the disc and the pilot; its play is drawn ten times too large">
    <path d="M16 70 h84 v34 h-84 z M16 146 h84 v34 h-84 z" class="cut" />
    <path d="M150 40 h22 v52 h-22 z M150 158 h22 v52 h-22 z" class="cut" /><path
      d="M140 92 h46 v12 h-46 z M140 146 h46 v12 h-46 z"
    />
    <path :d="`M40 ${104 + play} V${146 - play} H120 V150 H300 V100 H120 V${104 + play} z`" fill="var(--paper)" />
    <g v-for="n in Math.min(wraps, 5)" :key="n"
      ><path
        :d="`M${52 + n * 8} ${104 + play - n * 1.5} V${146 - play + n * 1.5}`"
        stroke="var(--attention)"
        stroke-width="4"
    /></g>
    <line x1="78" x2="78" :y1="104" :y2="104 + Math.max(play, 3)" stroke="var(--action)" stroke-width="3" /><text
      x="86"
      y="62"
      text-anchor="middle"
      >play × 10</text
    ><path d="M80 66 v34" class="quiet" /> <path d="M214 92 v66" stroke="var(--attention)" stroke-width="4" /><line
      x1="186"
      x2="214"
      y1="174"
      y2="174"
      class="measure"
    /><text x="222" y="192">depth mark</text> <text x="58" y="200" text-anchor="middle">pilot</text
    ><text x="162" y="232" text-anchor="middle">disc</text><text x="262" y="130" text-anchor="middle">tool</text>
  </DrawingFrame>
</template>
