<script setup lang="ts">
const { state } = useJob()
const route = useRoute()
const at = computed(() => String(route.query.at ?? ''))
</script>

<template>
  <MatingView v-if="at === 'mating' && state.procedure?.bench.mating" />
  <LedgerView v-else-if="at === 'ledger'" />
  <RefitView v-else-if="at === 'refit'" />
  <CarView v-else-if="state.procedure?.drawing" />
  <PlainCar v-else />
</template>
