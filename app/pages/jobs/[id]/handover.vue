<script setup lang="ts">
import { jobPaper, paperContext } from '../../../../core/formats'
import { sourceWords } from '../../../../contracts/words'

definePageMeta({ wants: 'see-customers' })

/** The page the customer takes along, from this device's own log: the same content as the hand-over paper. */
const { state, path } = useJob()
const garage = useGarageStore()
const { rates } = useMoney()
const paper = computed(
  () =>
    garage.garage &&
    state.value.procedure &&
    jobPaper(
      'hand-over',
      state.value,
      paperContext({
        ...garage.garage,
        sources: sourceWords,
        rates: rates.value,
        observed: [],
        reach: {},
      }),
    ),
)
const printPage = () => window.print()
</script>

<template>
  <main id="sheet" tabindex="-1" class="mx-auto max-w-3xl px-5 py-6 outline-none print:max-w-none print:p-0">
    <div class="no-print mb-6 flex gap-3">
      <NuxtLink :to="path('prove')" class="button">Back</NuxtLink>
      <button class="button button-main" @click="printPage">Print</button>
    </div>
    <PaperSheet v-if="paper" :paper="paper" :letterhead="garage.garage" />
  </main>
</template>
