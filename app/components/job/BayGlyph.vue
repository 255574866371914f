<script setup lang="ts">
import type { Bay, CarPosition, DrawnPart } from '../../../core/packs'

/** The small drawing of a vehicle that its bay names. */
const props = defineProps<{ bay: Bay; car: CarPosition; parts: DrawnPart[] }>()
</script>

<template>
  <LazyTractorGlyph v-if="bay.glyph === 'tractor'" v-bind="props" />
  <CarGlyph v-else v-bind="props" />
</template>
