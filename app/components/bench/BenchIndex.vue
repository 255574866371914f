<script setup lang="ts">
import { blockersOf } from '../../../core/job'
import type { Sheet } from '../../../core/packs'
import { sheetPath } from '../../links/sheet-path'
import { levelWords } from '../../words/level-words'

/** Everything the bench has for this job, in its rows: what is said already, what can be looked at now. */
const { store, state, bench, verdicts, started, path } = useBench()
const t = useTerms()
const rows = computed(() => [
  { title: 'Look and measure', sheets: bench.value.sheets.filter(sheet => sheet.row === 'measure') },
  { title: t('{Centering}'), sheets: bench.value.sheets.filter(sheet => sheet.row === 'centre') },
  { title: 'Weight, room and driveline', sheets: bench.value.sheets.filter(sheet => sheet.row === 'handle') },
])
const order = computed(() => new Map(state.value.plan!.order.map((id, index) => [id, index])))
const firstStep = (sheet: Sheet) => Math.min(...sheet.steps.map(id => order.value.get(id) ?? Infinity))
const sorted = (sheets: Sheet[]) => [...sheets].sort((a, b) => firstStep(a) - firstStep(b))
/** It lies open now: one of its steps is not done and nothing stands before it. */
const now = (sheet: Sheet) => sheet.steps.some(id => !state.value.done[id] && blockersOf(state.value, id).length === 0)
const ways = computed(() =>
  bench.value.sheets.filter(sheet => sheet.ways && sheet.ways.option in state.value.procedure!.options),
)
const comparing = computed(() => bench.value.sheets.filter(sheet => sheet.beside))
function besideSays({ id, beside }: Sheet): string {
  const chosen = state.value.chosenCandidates[id]
  const lying = state.value.candidates[id]?.length ?? 0
  if (chosen) return `Chosen: ${chosen.name}`
  return lying ? `${lying} lie side by side` : `Which ${beside!.one} fits, and why not the others`
}
const renewed = computed(() => Object.values(state.value.renewals).filter(entry => entry.decision === 'renew').length)
const noted = computed(() => Object.keys(state.value.orientations).length)
const onOrder = computed(() => state.value.orders.filter(entry => entry.cameAt === null).length)
const decide = computed(() => [
  {
    to: path('bench/open'),
    title: 'While it is open',
    says: renewed.value ? `${renewed.value} to be renewed` : 'What is in reach, what it costs now and what later',
  },
  ...ways.value.map(sheet => ({
    to: path(`bench/${sheet.id}/ways`),
    title: `${t(sheet.title)}: ways on`,
    says: state.value.ways.at(-1)?.because ?? 'Money, days and risk side by side',
  })),
  ...comparing.value.map(sheet => ({
    to: `${path(sheetPath(sheet))}/beside`,
    title: t(sheet.beside!.title),
    says: besideSays(sheet),
  })),
  { to: path('bench/bolts'), title: 'Bolts: again or new', says: 'From their records' },
  {
    to: path('bench/parts'),
    title: 'Parts',
    says: onOrder.value ? `${onOrder.value} on order` : 'List, prices, orders',
  },
  {
    to: path('bench/marks'),
    title: 'Which way round, and old parts',
    says: noted.value ? `${noted.value} noted` : 'Nothing noted yet',
  },
])
useKeys({ Backspace: store.undo })
</script>

<template>
  <main id="sheet" tabindex="-1" class="mx-auto max-w-5xl px-4 py-5 outline-none sm:px-7">
    <h1 class="text-2xl">Bench</h1>
    <section v-for="row in rows" :key="row.title" class="mt-5">
      <h2 class="border-b-2 border-ink pb-1 text-lg">{{ row.title }}</h2>
      <p v-if="row.sheets.length === 0" class="mt-2 text-quiet">This job has none.</p>
      <ul class="ruled">
        <li v-for="sheet in sorted(row.sheets)" :key="sheet.id">
          <NuxtLink
            :to="path(`bench/${sheet.id}`)"
            class="grid grid-cols-[7.5rem_minmax(0,1fr)] items-baseline gap-x-4 gap-y-1 py-3 no-underline hover:bg-tint sm:grid-cols-[7.5rem_minmax(12rem,1fr)_minmax(0,2fr)]"
            :data-testid="`sheet-${sheet.id}`"
          >
            <span
              class="font-bold"
              :class="verdicts.get(sheet.id)!.level ? levelWords[verdicts.get(sheet.id)!.level!].text : 'text-quiet'"
            >
              <template v-if="verdicts.get(sheet.id)!.level"
                ><span class="figure" aria-hidden="true">{{ levelWords[verdicts.get(sheet.id)!.level!].sign }}</span>
                {{ levelWords[verdicts.get(sheet.id)!.level!].word }}</template
              >
              <template v-else>{{ now(sheet) ? 'Open now' : started(sheet) ? 'Begun' : 'Later' }}</template>
            </span>
            <span class="text-lg font-semibold">{{ t(sheet.title) }}</span>
            <span class="text-quiet max-sm:col-span-2">{{
              verdicts.get(sheet.id)!.findings[0]
                ? t(verdicts.get(sheet.id)!.findings[0]!.sentence)
                : sheet.look[0]
                  ? t(sheet.look[0])
                  : ''
            }}</span>
          </NuxtLink>
        </li>
      </ul>
    </section>
    <section class="mt-5">
      <h2 class="border-b-2 border-ink pb-1 text-lg">Decide</h2>
      <ul class="ruled">
        <li v-for="entry in decide" :key="entry.to">
          <NuxtLink
            :to="entry.to"
            class="grid items-baseline gap-x-4 py-3 no-underline hover:bg-tint sm:grid-cols-[minmax(12rem,20rem)_minmax(0,1fr)]"
          >
            <span class="text-lg font-semibold">{{ entry.title }}</span><span class="text-quiet">{{
              t(entry.says)
            }}</span>
          </NuxtLink>
        </li>
      </ul>
    </section>
  </main>
</template>
