<script setup lang="ts">
const garage = useGarageStore()
useFocusKept()
// A customer's page is nobody's garage.
if (!useRoute().path.startsWith('/s/')) void garage.load()
</script>

<template>
  <div>
    <a href="#sheet" class="sr-only focus:not-sr-only">To the sheet</a>
    <NuxtRouteAnnouncer />
    <div v-if="garage.problem" class="mx-auto max-w-2xl p-8" role="alert">
      <h1 class="text-2xl">Eldrin cannot reach its server</h1>
      <p class="mt-3">{{ garage.problem }} Nothing was lost. Check that the server runs, then try again.</p>
      <button class="button button-main mt-6" @click="garage.load()">Try again</button>
    </div>
    <NuxtPage v-else />
    <Messages />
  </div>
</template>
