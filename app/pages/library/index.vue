<script setup lang="ts">
import type { PackLine } from '../../../contracts/answers'

useHead({ title: 'Library · Eldrin' })
const garage = useGarageStore()
const route = useRoute()
const lines = ref<PackLine[]>([])
</script>

<template>
  <div>
    <LibraryHead title="Library" />
    <main id="sheet" tabindex="-1" class="mx-auto max-w-5xl px-4 py-5 outline-none sm:px-7">
      <h1 class="sr-only">Library</h1>
      <LibraryTabs />
      <p v-if="!garage.garage" role="status">Fetching the garage</p>
      <HistoryRoom v-else-if="route.query.at === 'history'" />
      <LearnedRoom v-else-if="route.query.at === 'learned'" />
      <div v-else-if="route.query.at === 'garage'" class="grid gap-12">
        <GarageSelf />
        <GaragePeople />
        <GarageHours />
        <GarageMoney />
      </div>
      <div v-else class="grid gap-12">
        <PackList @loaded="loaded => { lines = loaded }" />
        <WrenchShelf />
        <KitShelf />
        <SchoolDefaults :lines="lines" />
      </div>
    </main>
  </div>
</template>
