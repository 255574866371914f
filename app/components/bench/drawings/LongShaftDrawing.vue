<script setup lang="ts">
import type { SheetValues } from '../../../../core/bench'
import { sheetNumber } from '../../../words/sheet-number'

/** A long shaft in a small bearing: how far its weight hangs out, and the sling that takes it. */
const props = defineProps<{ values: SheetValues }>()
const out = computed(() => Math.min(210, Math.max(60, 210 * (sheetNumber(props.values, 'overhang', 500) / 600))))
</script>

<template>
  <DrawingFrame label="A long shaft through both hubs into the pilot: its weight hangs out, a sling takes it">
    <path d="M22 60 h34 v130 h-34 z" class="cut" /><path d="M56 112 h16 v26 h-16 z" fill="var(--action)" />
    <path d="M84 78 h14 v94 h-14 z M118 88 h14 v74 h-14 z" fill="var(--paper)" />
    <path d="M56 119 H304 V131 H56 z" fill="var(--tint)" />
    <path :d="`M${64 + out} 134 V196`" class="measure" style="marker-start: none" />
    <text :x="Math.min(258, 64 + out)" y="220" text-anchor="middle">its weight</text>
    <path
      :d="`M${58 + out} 20 L${70 + out} 119 M${82 + out} 20 L${70 + out} 119`"
      stroke="var(--action)"
      stroke-width="3"
    />
    <line x1="64" :x2="64 + out" y1="60" y2="60" class="measure" />
    <text :x="70 + out / 2" y="50" text-anchor="middle">overhang</text>
    <text x="64" y="210" text-anchor="middle">bearing</text>
  </DrawingFrame>
</template>
