<script setup lang="ts">
import { wayNow } from '../../../core/job'
import type { Operation } from '../../../core/packs'

/** What the helper at the pedal sees on a second phone: nothing but the word that is due. */
const props = defineProps<{ operation: Operation }>()
const { state, path } = useJob()
const way = computed(() => wayNow(state.value, props.operation.id))
const round = computed(() => state.value.bleeding[props.operation.id]?.rounds.at(-1) ?? null)
useScreenAwake()
</script>

<template>
  <main id="sheet" class="flex min-h-dvh flex-col items-center justify-center gap-6 px-4 py-8 text-center">
    <h1 class="text-xl">At the pedal of the {{ state.vehicle?.name }}</h1>
    <p v-if="!round || !way" class="text-xl">The bleeding has not been opened yet. This page follows by itself.</p>
    <p v-else-if="way.calls.length === 0" class="text-xl">
      {{ way.title }} needs no helper. This page follows by itself.
    </p>
    <template v-else>
      <PaceCaller :step-id="operation.id" large class="w-full" />
      <p class="text-xl">
        <span class="figure text-3xl font-bold" data-testid="helper-count">{{ round.strokes }}</span> of
        <span class="figure">{{ way.perRound }}</span> in this round
      </p>
    </template>
    <NuxtLink class="inline-flex min-h-11 items-center underline" :to="path('pedal')"
      >Back to the whole bleeding</NuxtLink
    >
  </main>
</template>
