<script setup lang="ts">
/** What stands before the garage: who is there, and the one thing asked of them. */
defineProps<{ title: string }>()
</script>

<template>
  <main
    id="sheet"
    tabindex="-1"
    class="mx-auto grid min-h-dvh max-w-md content-start px-5 py-8 outline-none sm:content-center"
  >
    <p class="text-xl font-bold">Eldrin</p>
    <h1 class="mt-6 border-b-4 border-ink pb-2 text-3xl">{{ title }}</h1>
    <slot />
  </main>
</template>
