<script setup lang="ts">
/** The car as it stands, and bringing box and engine together. */
const { state, path } = useJob()
const links = computed(() => [
  { to: path('car'), name: 'Now' },
  { to: path('car/ledger'), name: 'Came off' },
  ...(state.value.procedure?.bench.mating ? [{ to: path('car/mating'), name: 'Mating' }] : []),
  { to: path('car/refit'), name: 'Way back' },
  { to: path('car/apart'), name: 'By others' },
])
</script>

<template>
  <SubNav label="Of the car" :links="links" wrap />
</template>
