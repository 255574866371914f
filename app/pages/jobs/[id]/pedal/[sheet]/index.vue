<script setup lang="ts">
const { sheet } = useSheetAsked(entry => entry.row === 'pedal')
</script>

<template>
  <SheetView v-if="sheet" :key="sheet.id" :sheet="sheet"><PedalHead /></SheetView>
  <NotHere v-else what="sheet" />
</template>
