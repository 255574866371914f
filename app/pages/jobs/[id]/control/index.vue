<script setup lang="ts">
const { state } = useJob()
</script>

<template>
  <ControlView v-if="state.procedure?.control" />
  <NotHere v-else what="view" />
</template>
