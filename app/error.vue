<script setup lang="ts">
import type { NuxtError } from '#app'

const props = defineProps<{ error: NuxtError }>()
const missing = computed(() => props.error.statusCode === 404)
</script>

<template>
  <main id="sheet" class="mx-auto max-w-2xl p-8">
    <p class="figure text-quiet">{{ error.statusCode }}</p>
    <h1 class="mt-2 text-3xl">{{ missing ? 'There is nothing at this address' : 'Something went wrong' }}</h1>
    <p class="mt-4 text-lg">
      {{ error.message }}
    </p>
    <p class="mt-2 text-quiet">What is in the log stays in the log.</p>
    <button class="button button-main button-big mt-8" @click="clearError({ redirect: '/' })">Back to the yard</button>
  </main>
</template>
