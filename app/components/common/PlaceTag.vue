<script setup lang="ts">
import type { Place } from '../../../core/packs'
import { placeNames } from '../../words/places'

defineProps<{ place: Place; short?: boolean }>()
</script>

<template>
  <span class="inline-flex shrink-0 items-stretch overflow-hidden rounded-soft border-[1.5px] border-ink leading-none">
    <span class="figure bg-ink px-2 py-1.5 font-bold text-paper" aria-hidden="true">{{
      placeNames[place].letter
    }}</span>
    <span class="whitespace-nowrap px-2 py-1.5 font-semibold" :class="short ? 'sr-only' : ''">{{
      placeNames[place].word
    }}</span>
  </span>
</template>
