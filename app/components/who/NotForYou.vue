<script setup lang="ts">
import { roleWords } from '../../../core/people/roles'

/** A view that is not for who works here now. */
const garage = useGarageStore()
const role = computed(() => roleWords[garage.garage!.me.role])
const route = useRoute()
</script>

<template>
  <main id="sheet" tabindex="-1" class="mx-auto max-w-2xl p-8 outline-none">
    <h1 class="text-2xl">Not for a {{ role.name.toLowerCase() }}</h1>
    <p class="mt-3">{{ role.does }} Ask the owner of the garage if this should be otherwise.</p>
    <p class="mt-6 flex flex-wrap gap-3">
      <NuxtLink class="button button-main" to="/">To the Yard</NuxtLink>
      <NuxtLink class="button" :to="{ path: '/who', query: { to: route.fullPath } }">Somebody else is working</NuxtLink>
    </p>
  </main>
</template>
