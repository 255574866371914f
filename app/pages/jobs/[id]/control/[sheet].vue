<script setup lang="ts">
const { sheet } = useSheetAsked(entry => entry.row === 'control')
</script>

<template>
  <SheetView v-if="sheet" :key="sheet.id" :sheet="sheet"><ControlHead /></SheetView>
  <NotHere v-else what="sheet" />
</template>
