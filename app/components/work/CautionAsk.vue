<script setup lang="ts">
import type { Caution } from '../../../core/packs'

/** Serious cautions that nobody on this job has read yet: large, drawn, read once. */
defineProps<{ cautions: Caution[] }>()
const t = useTerms()
</script>

<template>
  <section class="mt-5 grid gap-4 border-2 border-danger p-4" aria-label="Read first" data-testid="caution-ask">
    <div v-for="caution in cautions" :key="caution.id" class="grid grid-cols-[4.5rem_minmax(0,1fr)] items-start gap-4">
      <CautionSign :sign="caution.sign" class="w-full text-danger" />
      <p class="text-xl">
        <span class="font-bold">{{ t(caution.title) }}.</span> {{ t(caution.text) }}
      </p>
    </div>
    <p class="text-sm text-quiet">
      Once for this job. The vehicle maker’s instructions, the kit sheet, local codes and licensed practice go before
      it.
    </p>
  </section>
</template>
