<script setup lang="ts">
import type { PaperDoc } from '../../../../../core/formats'
import { issuesOf } from '../../../../lib/reason-of'

/** A paper as a page that prints. */
const { store, state, path } = useJob()
const garage = useGarageStore()
const route = useRoute()
const paper = shallowRef<PaperDoc | null>(null)
const source = computed(() => `/api/jobs/${store.jobId}/papers/${route.query.issued ? `issued/${String(route.query.issued)}` : String(route.params.kind)}`)
const problem = ref('')
async function load() {
  problem.value = ''
  try {
    paper.value = await $fetch<PaperDoc>(source.value)
  }
  catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
onMounted(load)
/** As it stood on the paper that left the house. */
const letterhead = computed(() => state.value.issuedPapers.find(issued => issued.paperId === route.query.issued)?.letterhead ?? garage.garage)
const printPage = () => window.print()
const shown = computed(() => paper.value?.sections.filter(section => (section.lines?.length ?? 0) + (section.table?.rows.length ?? 0) > 0) ?? [])
</script>

<template>
  <main id="sheet" tabindex="-1" class="mx-auto max-w-3xl px-5 py-6 outline-none print:max-w-none print:p-0">
    <div class="no-print mb-6 flex flex-wrap gap-3">
      <NuxtLink :to="{ path: path('prove'), query: { at: 'papers' } }" class="button">Back</NuxtLink>
      <button class="button button-main" @click="printPage">Print</button>
      <a v-if="paper" class="button" :href="`${source}?as=pdf`" target="_blank">PDF</a>
    </div>
    <div v-if="problem" role="alert"><h1 class="text-2xl">This paper could not be made</h1><p class="mt-3">{{ problem }}</p><button class="button mt-4" @click="load">Try again</button></div>
    <p v-else-if="!paper" role="status">Writing it</p>
    <template v-else>
      <header class="flex flex-wrap items-baseline justify-between gap-x-6 border-b-4 border-ink pb-2">
        <div><p class="text-xl font-bold">{{ letterhead?.name }}</p><p class="text-quiet">{{ letterhead?.town }}</p></div><p class="figure">Job {{ paper.facts[0]![1] }}</p>
      </header>
      <h1 class="mt-5 text-2xl">{{ paper.title }}</h1>
      <dl class="mt-3 grid grid-cols-[8rem_1fr] gap-y-1"><template v-for="[name, value] in paper.facts.slice(1)" :key="name"><dt class="text-quiet">{{ name }}</dt><dd>{{ value }}</dd></template></dl>
      <section v-for="section in shown" :key="section.title" class="mt-6 break-inside-auto">
        <h2 class="border-b-2 border-ink pb-1 text-lg break-after-avoid" :class="section.caution ? 'text-danger' : ''">{{ section.title }}</h2>
        <p v-for="line in section.lines" :key="line" class="mt-1">{{ line }}</p>
        <table v-if="section.table?.rows.length" class="mt-1 w-full text-left">
          <thead :class="section.table.head.some(Boolean) ? 'text-sm text-quiet' : 'sr-only'"><tr><th v-for="(name, column) in section.table.head" :key="column" scope="col" class="pr-3 font-normal" :class="section.table.right.includes(column) ? 'text-right' : ''">{{ name || 'What' }}</th></tr></thead>
          <tbody class="ruled">
            <tr v-for="(row, index) in section.table.rows" :key="index" class="break-inside-avoid align-top" :class="index >= section.table.rows.length - (section.table.sums ?? 0) ? 'font-bold' : ''">
              <td v-for="(text, column) in row" :key="column" class="py-1 pr-3" :class="section.table.right.includes(column) ? 'figure whitespace-nowrap text-right' : ''">{{ text }}</td>
            </tr>
          </tbody>
        </table>
      </section>
    </template>
  </main>
</template>
