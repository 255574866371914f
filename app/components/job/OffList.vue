<script setup lang="ts">
import { openEntries } from '../../../core/job'

/** What is off, open, unplugged, slack or propped, in words. */
const props = defineProps<{ limit?: number }>()
const { state, path } = useJob()
const t = useTerms()
const entries = computed(() => openEntries(state.value))
const shown = computed(() => (props.limit ? entries.value.slice(-props.limit).reverse() : entries.value))
</script>

<template>
  <p v-if="entries.length === 0" class="text-quiet">Nothing is off. The car is whole.</p>
  <ul v-else class="ruled">
    <li v-for="entry in shown" :key="entry.entry" class="flex justify-between gap-3 py-1.5">
      <span
        >{{ t(entry.name)
        }}<span v-if="entry.item?.goesTo" class="block text-sm text-quiet">{{ t(entry.item.goesTo) }}</span></span
      >
      <span class="figure whitespace-nowrap text-sm">{{ entry.count }} {{ entry.item?.state }}</span>
    </li>
    <li v-if="shown.length < entries.length" class="py-2">
      <NuxtLink :to="path('car')" class="underline">and {{ entries.length - shown.length }} more</NuxtLink>
    </li>
  </ul>
</template>
