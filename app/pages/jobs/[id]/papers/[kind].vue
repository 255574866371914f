<script setup lang="ts">
import type { PaperDoc } from '../../../../../core/formats'
import { issuesOf } from '../../../../words/reason-of'

definePageMeta({ wants: 'see-money' })

/** A paper as a page that prints. */
const t = useTerms()
const { store, state, path } = useJob()
const garage = useGarageStore()
const route = useRoute()
const paper = shallowRef<PaperDoc | null>(null)
const source = computed(
  () =>
    `/api/jobs/${store.jobId}/papers/${route.query.issued ? `issued/${String(route.query.issued)}` : String(route.params.kind)}`,
)
const problem = ref('')
async function load() {
  problem.value = ''
  try {
    paper.value = await $fetch<PaperDoc>(source.value)
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
onMounted(load)
/** As it stood on the paper that left the house. */
const letterhead = computed(
  () => state.value.issuedPapers.find(issued => issued.paperId === route.query.issued)?.letterhead ?? garage.garage,
)
const printPage = () => window.print()
</script>

<template>
  <main id="sheet" tabindex="-1" class="mx-auto max-w-3xl px-5 py-6 outline-none print:max-w-none print:p-0">
    <div class="no-print mb-6 flex flex-wrap gap-3">
      <NuxtLink :to="path('prove/papers')" class="button">Back</NuxtLink>
      <button class="button button-main" @click="printPage">Print</button>
      <a v-if="paper" class="button" :href="`${source}?as=pdf`" target="_blank">PDF</a>
    </div>
    <div v-if="problem" role="alert">
      <h1 class="text-2xl">This paper could not be made</h1>
      <p class="mt-3">{{ t(problem) }}</p>
      <button class="button mt-4" @click="load">Try again</button>
    </div>
    <p v-else-if="!paper" role="status">Writing it</p>
    <PaperSheet v-else :paper="paper" :letterhead="letterhead" />
  </main>
</template>
