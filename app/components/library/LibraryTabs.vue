<script setup lang="ts">
/** The rooms of the Library. */
const route = useRoute()
const here = computed(() => String(route.query.at ?? ''))
const rooms = [{ at: '', name: 'Layouts and tools' }, { at: 'history', name: 'Cars and history' }, { at: 'learned', name: 'What we learned' }, { at: 'garage', name: 'The garage' }]
</script>

<template>
  <ul class="mb-5 flex gap-1.5 max-sm:overflow-x-auto max-sm:pb-2 max-sm:whitespace-nowrap sm:flex-wrap sm:gap-2">
    <li v-for="room in rooms" :key="room.at"><NuxtLink class="button max-sm:px-3!" :class="here === room.at ? 'border-action! bg-tint!' : ''" :aria-current="here === room.at ? 'page' : undefined" :to="{ path: '/library', query: room.at ? { at: room.at } : {} }">{{ room.name }}</NuxtLink></li>
  </ul>
</template>
