<script setup lang="ts">
import { pedalForbidden } from '../../../../core/job'

const { state, path } = useJob()
const t = useTerms()
const bleeding = computed(() => state.value.procedure?.operations.find(operation => operation.activity?.kind === 'bleed') ?? null)
const forbidden = computed(() => pedalForbidden(state.value)?.because ?? null)
</script>

<template>
  <BleedRun v-if="bleeding" :operation="bleeding" :blocked="forbidden" />
  <SheetWithMargin v-else margin-title="If it is opened">
    <h1 class="text-2xl">Nothing to bleed on this job</h1>
    <p v-if="forbidden" class="mt-4 border-l-4 border-danger pl-4 text-lg"><span class="label">No stroke now.</span> {{ t(forbidden) }}</p>
    <p class="mt-3 text-lg">The slave is moved aside with its line on. The system is never opened, so no air gets in and none has to come out.</p>
    <p class="mt-3 text-lg">Judge the pedal all the same when the slave is back: <NuxtLink :to="path('prove')" class="underline">closing checks</NuxtLink>.</p>
    <template #margin><p class="text-quiet">If the line has to be opened after all, take the job in again with the slave taken off, so that its bleeding stands in the plan.</p></template>
  </SheetWithMargin>
</template>
