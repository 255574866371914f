<script setup lang="ts">
import type { PaperKind } from '../../../core/formats'
import { issuedKinds } from '../../../core/job'
import type { IssuedKind } from '../../../core/job'
import { issuesOf } from '../../words/reason-of'

/** The papers of a job to look at, print or take along; and the job itself in open formats. */
const { store, path } = useJob()
const garage = useGarageStore()
const size = ref<'a4' | 'letter'>(garage.garage?.paper ?? 'a4')
const papers: { kind: PaperKind; name: string; what: string }[] = [
  { kind: 'estimate', name: 'Estimate', what: '{Labor} by the plan, parts, and three offers for what is in reach.' },
  { kind: 'work-order', name: 'Work order', what: 'Every step in its order, with what can hurt first.' },
  {
    kind: 'hand-over',
    name: 'Hand-over',
    what: 'Figures with their sources, what was renewed, measured, and left with the customer.',
  },
  { kind: 'break-in', name: 'Break-in card', what: 'One page for the glovebox.' },
  { kind: 'invoice', name: 'Invoice', what: 'Computed minutes with the worked ones beside them, parts, tax.' },
]
const isIssued = (kind: PaperKind): kind is IssuedKind => (issuedKinds as readonly string[]).includes(kind)
const tables = [
  { name: 'bolts', what: 'Bolts' },
  { name: 'readings', what: 'Readings' },
  { name: 'parts', what: 'Parts' },
  { name: 'times', what: 'Times' },
]
const { state } = useJob()
const t = useTerms()
const title = ref(`${t(state.value.procedure?.title ?? '')}, our order`)
const kept = ref<{ id: string; title: string } | null>(null)
const problem = ref('')
async function keepOrder() {
  problem.value = ''
  try {
    kept.value = await $fetch<{ id: string; title: string }>(`/api/jobs/${store.jobId}/layout`, {
      method: 'POST',
      body: { title: title.value.trim(), personId: garage.personId },
    })
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin margin-title="In open formats">
    <ProveHead />
    <h1 class="text-2xl">Papers</h1>
    <p class="mt-2 text-quiet">
      A draft follows the job and the garage’s rates. What is issued has a number and a day, and says for ever what it
      said then.
    </p>
    <ChoiceRow
      v-model="size"
      class="mt-3"
      label="Paper"
      hide-label
      :choices="[
        { id: 'a4', label: 'A4' },
        { id: 'letter', label: 'Letter' },
      ]"
    />
    <ul class="ruled mt-4">
      <li v-for="paper in papers" :key="paper.kind" class="flex flex-wrap items-center justify-between gap-3 py-3">
        <span class="min-w-48 flex-1"
          ><span class="block text-lg font-semibold">{{ paper.name }}</span
          ><span class="text-quiet">{{ t(paper.what) }}</span
          ><IssuedPapers v-if="isIssued(paper.kind)" :kind="paper.kind"
        /></span>
        <span class="flex gap-2"
          ><NuxtLink class="button" :to="path(`papers/${paper.kind}`)">Look at it</NuxtLink
          ><a
            class="button button-main"
            :href="`/api/jobs/${store.jobId}/papers/${paper.kind}?as=pdf&paper=${size}`"
            :aria-label="`${paper.name} as PDF`"
            target="_blank"
            >PDF</a
          ></span
        >
      </li>
    </ul>
    <section class="mt-8" aria-labelledby="order-title">
      <h2 id="order-title" class="border-b border-ink pb-1 text-lg">This job’s order as our layout</h2>
      <p class="mt-2">
        The choices of this job settled, each step after the one before it. The next job can be planned by it, and it
        can be edited in the Library.
      </p>
      <p v-if="kept" class="mt-2 border-l-4 border-good pl-3">
        Kept as <NuxtLink class="underline" :to="`/library/packs/${kept.id}`">{{ kept.title }}</NuxtLink>.
      </p>
      <form v-else class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="keepOrder">
        <div class="min-w-60 flex-1">
          <Field v-slot="{ control }" id="order-name" label="Its name"
            ><input v-bind="control" v-model="title" class="mt-1" maxlength="120"
          /></Field>
        </div>
        <button class="button" :disabled="!title.trim()">Keep this order</button>
      </form>
      <p class="text-danger" role="alert">{{ t(problem) }}</p>
    </section>
    <p class="mt-4">
      The page with everything: <NuxtLink class="underline" :to="path('handover')">hand-over page</NuxtLink>.
    </p>
    <template #margin>
      <section class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg">In open formats</h2>
        <p>The whole job with its log, for another Eldrin or for keeping:</p>
        <a class="button" :href="`/api/jobs/${store.jobId}/file`" download>This job as a file</a>
        <p>Tables for a spreadsheet, with units in their heads:</p>
        <p class="flex flex-wrap gap-2">
          <a
            v-for="table in tables"
            :key="table.name"
            class="button"
            :href="`/api/jobs/${store.jobId}/tables/${table.name}`"
            download
            >{{ table.what }}</a
          >
        </p>
        <p>Promise, parts, rests and re-checks:</p>
        <a class="button" :href="`/api/jobs/${store.jobId}/calendar`" download>For a calendar</a>
        <p class="text-sm text-quiet">
          JSON with a published schema, CSV, iCalendar. The layout of a job is exported as YAML in the Library, its bolt
          card as SVG under Bolts.
        </p>
      </section>
    </template>
  </SheetWithMargin>
</template>
