<script setup lang="ts">
const route = useRoute()
await navigateTo(`/jobs/${String(route.params.id)}/work`, { replace: true })
</script>

<template>
  <div />
</template>
