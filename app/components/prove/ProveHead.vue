<script setup lang="ts">
/** The subjects of proving a job. */
const { state, path } = useJob()
const route = useRoute()
const here = computed(() => String(route.query.at ?? ''))
const subjects = computed(() => [
  { at: '', name: 'Closing checks' }, ...(state.value.procedure?.roadTest?.length ? [{ at: 'road', name: 'Road test' }] : []), { at: 'cause', name: 'What it was' }, { at: 'break-in', name: 'Break-in' }, { at: 'papers', name: 'Papers' }, { at: 'money', name: 'Money' },
])
</script>

<template>
  <ul class="mb-3 flex gap-1.5 max-lg:clear-both max-sm:overflow-x-auto max-sm:pb-2 max-sm:whitespace-nowrap sm:flex-wrap sm:gap-2">
    <li v-for="subject in subjects" :key="subject.at"><NuxtLink class="button max-sm:px-3!" :class="here === subject.at ? 'border-action! bg-tint!' : ''" :aria-current="here === subject.at ? 'page' : undefined" :to="{ path: path('prove'), query: subject.at ? { at: subject.at } : {} }">{{ subject.name }}</NuxtLink></li>
  </ul>
</template>
