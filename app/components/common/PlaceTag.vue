<script setup lang="ts">
import type { BayPlace } from '../../../core/packs'

defineProps<{ at: Pick<BayPlace, 'letter' | 'name'>; short?: boolean }>()
</script>

<template>
  <span class="inline-flex shrink-0 items-stretch overflow-hidden rounded-soft border-[1.5px] border-ink leading-none">
    <span class="figure bg-ink px-2 py-1.5 font-bold text-paper" aria-hidden="true">{{ at.letter }}</span>
    <span class="whitespace-nowrap px-2 py-1.5 font-semibold" :class="short ? 'sr-only' : ''">{{ at.name }}</span>
  </span>
</template>
