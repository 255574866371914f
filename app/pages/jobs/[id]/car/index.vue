<script setup lang="ts">
const { state } = useJob()
</script>

<template>
  <CarView v-if="state.procedure?.drawing" />
  <PlainCar v-else />
</template>
