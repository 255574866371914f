<script setup lang="ts">
defineProps<{ title: string }>()
</script>

<template>
  <header class="border-b-2 border-ink bg-sheet">
    <div class="mx-auto flex max-w-[90rem] flex-wrap items-center gap-x-5 gap-y-1 px-4 py-2 sm:px-7">
      <NuxtLink to="/" class="flex min-h-11 items-center font-bold underline">Yard</NuxtLink>
      <p class="min-w-0 text-lg font-semibold">{{ title }}</p>
      <div class="ml-auto flex flex-wrap items-center gap-2"><slot /><SettingsMenu /></div>
    </div>
  </header>
</template>
