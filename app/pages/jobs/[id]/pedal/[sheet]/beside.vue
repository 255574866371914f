<script setup lang="ts">
const { sheet } = useSheetAsked(entry => entry.row === 'pedal' && entry.beside !== undefined)
</script>

<template>
  <BesideView v-if="sheet" :key="sheet.id" :sheet="sheet"><PedalHead /></BesideView>
  <NotHere v-else what="sheet" />
</template>
