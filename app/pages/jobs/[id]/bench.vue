<script setup lang="ts">
const { bench } = useBench()
const route = useRoute()
const at = computed(() => String(route.query.at ?? ''))
const sheet = computed(() => bench.value.sheets.find(entry => entry.id === route.query.sheet) ?? null)
</script>

<template>
  <WaysView v-if="at === 'ways' && sheet?.ways" :key="sheet.id" :sheet="sheet"><BenchHead /></WaysView>
  <SheetView v-else-if="sheet" :key="sheet.id" :sheet="sheet"><BenchHead /></SheetView>
  <OpenView v-else-if="at === 'open'"><BenchHead /></OpenView>
  <BoltsAgain v-else-if="at === 'bolts'"><BenchHead /></BoltsAgain>
  <PartsView v-else-if="at === 'parts'"><BenchHead /></PartsView>
  <MarksView v-else-if="at === 'marks'"><BenchHead /></MarksView>
  <BenchIndex v-else />
</template>
