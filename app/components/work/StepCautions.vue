<script setup lang="ts">
import type { Caution } from '../../../core/packs'

/** Cautions of a step beyond the first, which stands on the sheet; and whose word counts. */
defineProps<{ cautions: Caution[] }>()
const t = useTerms()
</script>

<template>
  <section v-if="cautions.length" class="grid gap-3">
    <h2 class="text-lg">Careful</h2>
    <p
      v-for="caution in cautions"
      :key="caution.id"
      class="border-l-4 pl-3"
      :class="caution.serious ? 'border-danger' : 'border-attention'"
    >
      <span class="label">{{ t(caution.title) }}.</span> {{ t(caution.text) }}
    </p>
    <p class="text-sm text-quiet">
      The vehicle maker’s instructions, the kit sheet, local codes and licensed practice go before anything written
      here.
    </p>
  </section>
</template>
