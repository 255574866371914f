<script setup lang="ts">
import { viewOf } from '../../../../../links/sheet-path'

const { sheet } = useSheetAsked(entry => viewOf(entry) === 'bench' && entry.beside !== undefined)
</script>

<template>
  <BesideView v-if="sheet" :key="sheet.id" :sheet="sheet"><BenchHead /></BesideView>
  <NotHere v-else what="sheet" />
</template>
