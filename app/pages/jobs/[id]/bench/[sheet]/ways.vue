<script setup lang="ts">
const { sheet } = useSheetAsked(entry => entry.ways !== undefined)
</script>

<template>
  <WaysView v-if="sheet" :key="sheet.id" :sheet="sheet"><BenchHead /></WaysView>
  <NotHere v-else what="sheet" />
</template>
