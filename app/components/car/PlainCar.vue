<script setup lang="ts">
import { bayOf } from '../../../core/packs'
import { changedParts, standCounts } from '../../../core/job'
import { carryingNow } from '../../../core/job/views/carrying'
import { carWords } from '../../words/off-words'

/** The car of a job that was planned before layouts had drawings. */
const { state } = useJob()
const counts = computed(() => standCounts(state.value))
</script>

<template>
  <SheetWithMargin margin-title="Coming back to it">
    <CarHead />
    <h1 class="text-2xl">{{ carWords(counts) }}</h1>
    <BayGlyph
      :bay="bayOf(state.procedure ?? {})"
      :car="state.car"
      :parts="changedParts(state)"
      class="mt-4 w-full max-w-xl"
    />
    <OffList class="mt-6" />
    <template #margin><ReturnPanel :carrying="carryingNow(state)" /></template>
  </SheetWithMargin>
</template>
