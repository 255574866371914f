<script setup lang="ts">
/** An address of this job that leads to nothing it has: another layout has it, or an option took it away. */
defineProps<{ what: string }>()
const { path } = useJob()
</script>

<template>
  <main id="sheet" tabindex="-1" class="mx-auto max-w-2xl px-4 py-6 outline-none sm:px-7">
    <h1 class="text-2xl">This job has no such {{ what }}</h1>
    <p class="mt-3">Its layout does not bring it, or an option took it away.</p>
    <p class="mt-4"><NuxtLink class="button" :to="path('work')">To Work</NuxtLink></p>
  </main>
</template>
