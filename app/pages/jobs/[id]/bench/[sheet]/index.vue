<script setup lang="ts">
import { viewOf } from '../../../../../links/sheet-path'

const { sheet } = useSheetAsked(entry => viewOf(entry) === 'bench')
</script>

<template>
  <SheetView v-if="sheet" :key="sheet.id" :sheet="sheet"><BenchHead /></SheetView>
  <NotHere v-else what="sheet" />
</template>
