<script setup lang="ts">
/** What stands over the Yard and the days ahead: whose garage it is, and the ways on. */
const garage = useGarageStore()
</script>

<template>
  <header class="border-b-2 border-ink bg-sheet">
    <div class="mx-auto flex max-w-[90rem] flex-wrap items-center justify-between gap-3 px-4 py-2 sm:px-7">
      <p>
        <span class="text-xl font-bold">Eldrin</span>
        <span class="ml-3 text-quiet">{{ garage.garage?.name }}, {{ garage.garage?.town }}</span>
      </p>
      <div class="flex gap-2">
        <NuxtLink v-if="garage.can('work')" to="/jobs/new" class="button button-main">Take a car in</NuxtLink
        ><NuxtLink to="/library" class="button no-underline">Library</NuxtLink><SettingsMenu />
      </div>
    </div>
  </header>
</template>
