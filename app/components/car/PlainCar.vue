<script setup lang="ts">
import { changedParts } from '../../../core/job'
import { carryingNow } from '../../../core/job/carrying'

/** The car of a job that was planned before layouts had drawings. */
const { state, open } = useJob()
const total = computed(() => open.value.reduce((sum, entry) => sum + entry.count, 0))
</script>

<template>
  <SheetWithMargin margin-title="Coming back to it">
    <CarHead />
    <h1 class="text-2xl">{{ total === 0 ? 'The car is whole' : `${total} pieces are not as they leave the garage` }}</h1>
    <CarGlyph :car="state.car" :parts="changedParts(state)" class="mt-4 w-full max-w-xl" />
    <OffList class="mt-6" />
    <template #margin><ReturnPanel :carrying="carryingNow(state)" /></template>
  </SheetWithMargin>
</template>
