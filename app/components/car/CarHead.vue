<script setup lang="ts">
/** The car as it stands, and bringing box and engine together. */
const { state, path } = useJob()
const route = useRoute()
const at = computed(() => String(route.query.at ?? ''))
const subjects = computed(() => [{ at: '', name: 'Now' }, { at: 'ledger', name: 'Came off' }, ...state.value.procedure?.bench.mating ? [{ at: 'mating', name: 'Mating' }] : [], { at: 'refit', name: 'Way back' }])
</script>

<template>
  <ul v-if="subjects.length > 1" class="mb-3 flex flex-wrap gap-1.5 max-lg:clear-both sm:gap-2">
    <li v-for="subject in subjects" :key="subject.at"><NuxtLink class="button max-sm:px-2.5!" :class="at === subject.at ? 'border-action! bg-tint!' : ''" :aria-current="at === subject.at ? 'page' : undefined" :to="{ path: path('car'), query: subject.at ? { at: subject.at } : {} }">{{ subject.name }}</NuxtLink></li>
  </ul>
</template>
