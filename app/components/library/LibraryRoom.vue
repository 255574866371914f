<script setup lang="ts">
/** A room of the Library: its heading, the way to the others, and what is in it once the garage is known. */
useHead({ title: 'Library · Eldrin' })
const garage = useGarageStore()
</script>

<template>
  <div>
    <LibraryHead title="Library" />
    <main id="sheet" tabindex="-1" class="mx-auto max-w-5xl px-4 py-5 outline-none sm:px-7">
      <h1 class="sr-only">Library</h1>
      <LibraryTabs />
      <p v-if="!garage.garage" role="status">Fetching the garage</p>
      <slot v-else />
    </main>
  </div>
</template>
