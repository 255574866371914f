<script setup lang="ts">
const { group } = useGroupAsked()
</script>

<template>
  <TighteningRun v-if="group" :key="group.id" :operation="null" :group="group" />
  <NotHere v-else what="board" />
</template>
