<script setup lang="ts">
const { state, path } = useJob()
const t = useTerms()
const bleeds = computed(() => state.value.procedure?.operations.filter(operation => operation.activity?.kind === 'bleed') ?? [])
const proof = computed(() => state.value.procedure?.operations.filter(operation => operation.phase === 'prove' && operation.needs.includes('slave-home')) ?? [])
const slaveFact = computed(() => state.value.procedure?.facts.find(fact => fact.initially && proof.value.some(operation => operation.needs.includes(fact.id))))
const blocked = computed(() => slaveFact.value && !state.value.facts.includes(slaveFact.value.id))
</script>

<template>
  <BleedRun v-if="bleeds[0]" :operation="bleeds[0]" :blocked="blocked ? slaveFact!.because : null" />
  <SheetWithMargin v-else margin-title="No stroke">
    <h1 class="text-2xl">Nothing to bleed on this job</h1>
    <p class="mt-3 text-lg">The slave is moved aside with its line on. The system is never opened, so no air gets in and none has to come out.</p>
    <p class="mt-3 text-lg">Judge the pedal all the same when the slave is back: <NuxtLink :to="path('prove')" class="underline">closing checks</NuxtLink>.</p>
    <p v-if="blocked" class="mt-5 border-l-4 border-danger pl-4 text-lg"><span class="label">No stroke now.</span> {{ t(slaveFact!.because) }}</p>
    <template #margin><p class="text-quiet">If the line has to be opened after all, take the job in again with the slave taken off, so that its bleeding stands in the plan.</p></template>
  </SheetWithMargin>
</template>
