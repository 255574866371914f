<script setup lang="ts">
import type { Errand } from '../../log/errand'
import { momentText } from '../../words/moments'

/** What the server alone can do and has not done yet: what, since when, why not. */
defineProps<{ errands: Errand[] }>()
const store = useErrandsStore()
const t = useTerms()
</script>

<template>
  <ul class="ruled">
    <li v-for="errand in errands" :key="errand.id" class="py-1" data-testid="errand">
      <p class="flex justify-between gap-3">
        <span>{{ errand.what }}</span><span class="figure shrink-0 text-quiet">{{ momentText(errand.at) }}</span>
      </p>
      <p v-if="errand.refusal" class="text-danger">The server does not do it: {{ t(errand.refusal) }}</p>
      <p class="flex gap-4">
        <button v-if="errand.refusal" class="min-h-11 font-semibold underline" @click="store.askAgain(errand)">
          Ask again<span class="sr-only">: {{ errand.what }}</span>
        </button>
        <button class="min-h-11 font-semibold underline" @click="store.letGo(errand)">
          Let it go<span class="sr-only">: {{ errand.what }}</span>
        </button>
      </p>
    </li>
  </ul>
</template>
