<script setup lang="ts">
const route = useRoute()
</script>

<template>
  <RoadTestView v-if="route.query.at === 'road'" />
  <CauseView v-else-if="route.query.at === 'cause'" />
  <BreakInView v-else-if="route.query.at === 'break-in'" />
  <PapersView v-else-if="route.query.at === 'papers'" />
  <AgainstEstimate v-else-if="route.query.at === 'money'" />
  <ClosingView v-else />
</template>
