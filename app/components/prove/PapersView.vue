<script setup lang="ts">
import type { PaperKind } from '../../../core/formats'

/** The papers of a job to look at, print or take along; and the job itself in open formats. */
const { store, path } = useJob()
const garage = useGarageStore()
const size = ref<'a4' | 'letter'>(garage.garage?.paper ?? 'a4')
const papers: { kind: PaperKind, name: string, what: string }[] = [
  { kind: 'estimate', name: 'Estimate', what: 'Labor by the plan, parts, and three offers for what is in reach.' },
  { kind: 'work-order', name: 'Work order', what: 'Every step in its order, with what can hurt first.' },
  { kind: 'hand-over', name: 'Hand-over', what: 'Figures with their sources, what was renewed, measured, and left with the customer.' },
  { kind: 'break-in', name: 'Break-in card', what: 'One page for the glovebox.' },
  { kind: 'invoice', name: 'Invoice', what: 'Computed minutes with the worked ones beside them, parts, tax.' },
]
const tables = [{ name: 'bolts', what: 'Bolts' }, { name: 'readings', what: 'Readings' }, { name: 'parts', what: 'Parts' }, { name: 'times', what: 'Times' }]
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin margin-title="In open formats">
    <ProveHead />
    <h1 class="text-2xl">Papers</h1>
    <ChoiceRow v-model="size" class="mt-3" label="Paper" hide-label :choices="[{ id: 'a4', label: 'A4' }, { id: 'letter', label: 'Letter' }]" />
    <ul class="ruled mt-4">
      <li v-for="paper in papers" :key="paper.kind" class="flex flex-wrap items-center justify-between gap-3 py-3">
        <span class="min-w-48 flex-1"><span class="block text-lg font-semibold">{{ paper.name }}</span><span class="text-quiet">{{ paper.what }}</span></span>
        <span class="flex gap-2"><NuxtLink class="button" :to="path(`papers/${paper.kind}`)">Look at it</NuxtLink><a class="button button-main" :href="`/api/jobs/${store.jobId}/papers/${paper.kind}?as=pdf&paper=${size}`" :aria-label="`${paper.name} as PDF`" target="_blank">PDF</a></span>
      </li>
    </ul>
    <p class="mt-4">The page with everything: <NuxtLink class="underline" :to="path('handover')">hand-over page</NuxtLink>.</p>
    <template #margin>
      <section class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg">In open formats</h2>
        <p>The whole job with its log, for another Eldrin or for keeping:</p>
        <a class="button" :href="`/api/jobs/${store.jobId}/file`" download>This job as a file</a>
        <p>Tables for a spreadsheet, with units in their heads:</p>
        <p class="flex flex-wrap gap-2"><a v-for="table in tables" :key="table.name" class="button" :href="`/api/jobs/${store.jobId}/tables/${table.name}`" download>{{ table.what }}</a></p>
        <p>Promise, parts, rests and re-checks:</p>
        <a class="button" :href="`/api/jobs/${store.jobId}/calendar`" download>For a calendar</a>
        <p class="text-sm text-quiet">JSON with a published schema, CSV, iCalendar. The layout of a job is exported as YAML in the Library, its bolt card as SVG under Bolts.</p>
      </section>
    </template>
  </SheetWithMargin>
</template>
