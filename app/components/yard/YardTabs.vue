<script setup lang="ts">
/** The yard as it stands, or the days ahead. */
defineProps<{ here: 'now' | 'week' }>()
</script>

<template>
  <ul class="mb-3 flex gap-2">
    <li><NuxtLink class="button" :class="here === 'now' ? 'border-action! bg-tint!' : ''" :aria-current="here === 'now' ? 'page' : undefined" to="/">Now</NuxtLink></li>
    <li><NuxtLink class="button" :class="here === 'week' ? 'border-action! bg-tint!' : ''" :aria-current="here === 'week' ? 'page' : undefined" :to="{ path: '/', query: { at: 'week' } }">Days ahead</NuxtLink></li>
  </ul>
</template>
