<script setup lang="ts">
const { state } = useJob()
</script>

<template>
  <MatingView v-if="state.procedure?.bench.mating" />
  <NotHere v-else what="mating" />
</template>
