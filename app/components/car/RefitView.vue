<script setup lang="ts">
import { ledgerLines, mustBeNew } from '../../../core/job/views/reconcile'
import { refitRules } from '../../../core/job/views/refit-rules'

/** The way back and its own rules: what waits for what, which way round things go in, what has to be new. */
const { store, state, path } = useJob()
const t = useTerms()
const marginOpen = ref(false)
const rules = computed(() => refitRules(state.value))
const left = computed(() => rules.value.filter(rule => rule.stand !== 'kept'))
const all = ref(false)
const shown = computed(() => (all.value ? rules.value : left.value.slice(0, 14)))
const stands = {
  kept: { sign: '✓', word: 'kept', tone: 'text-good' },
  now: { sign: '→', word: 'now', tone: 'text-attention' },
  'to come': { sign: '–', word: 'to come', tone: 'text-quiet' },
} as const
const ways = computed(() =>
  (state.value.procedure?.bench.orientations ?? [])
    .filter(entry => entry.back.length)
    .map(entry => ({ entry, record: state.value.orientations[entry.id] ?? null })),
)
const fresh = computed(() =>
  ledgerLines(state.value).flatMap(line => {
    const because = mustBeNew(state.value, line.item)
    return because === null ? [] : [{ line, because }]
  }),
)
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" margin-title="How these are kept">
    <CarHead />
    <h1 class="text-2xl">The way back</h1>
    <section class="mt-4" aria-labelledby="rules">
      <h2 id="rules" class="border-b-2 border-ink pb-1 text-lg">
        Rules of the refit, <span class="figure">{{ rules.length - left.length }}</span> of
        <span class="figure">{{ rules.length }}</span> kept
      </h2>
      <ul class="ruled">
        <li
          v-for="rule in shown"
          :key="rule.link.before + rule.link.after + rule.link.kind"
          class="grid grid-cols-[5.5rem_minmax(0,1fr)] gap-x-3 py-2"
        >
          <span class="font-bold" :class="stands[rule.stand].tone"
            ><span class="figure" aria-hidden="true">{{ stands[rule.stand].sign }}</span>
            {{ stands[rule.stand].word }}</span
          >
          <span
            ><span class="font-semibold">{{ t(rule.link.because) }}</span
            ><span class="block text-sm text-quiet"
              >{{ t(rule.first.title) }} <span aria-hidden="true">→</span><span class="sr-only">, then</span>
              {{ t(rule.then.title) }}</span
            ></span
          >
        </li>
      </ul>
      <button v-if="rules.length > shown.length || all" class="button mt-2" @click="all = !all">
        {{ all ? 'Those to come' : `All ${rules.length}` }}
      </button>
    </section>
    <section v-if="ways.length" class="mt-6" aria-labelledby="ways">
      <h2 id="ways" class="border-b-2 border-ink pb-1 text-lg">Which way round</h2>
      <ul class="ruled">
        <li
          v-for="{ entry, record } in ways"
          :key="entry.id"
          class="grid grid-cols-[5.5rem_minmax(0,1fr)] gap-x-3 py-2"
        >
          <span
            class="font-bold"
            :class="record?.confirmedAt ? 'text-good' : record ? 'text-attention' : 'text-quiet'"
            >{{ record?.confirmedAt ? '✓ in so' : record ? 'noted' : '– not noted' }}</span
          >
          <span
            ><span class="font-semibold">{{ t(entry.name) }}</span
            ><span class="block text-quiet">{{
              record ? `${t(record.side)}${record.mark ? `, ${record.mark}` : ''}` : t(entry.about)
            }}</span></span
          >
        </li>
      </ul>
    </section>
    <section class="mt-6" aria-labelledby="fresh">
      <h2 id="fresh" class="border-b-2 border-ink pb-1 text-lg">New, not the old</h2>
      <p v-if="fresh.length === 0" class="mt-2 text-quiet">Nothing that has come off so far is used once only.</p>
      <ul class="ruled">
        <li
          v-for="{ line, because } in fresh"
          :key="line.item.id"
          class="grid grid-cols-[5.5rem_minmax(0,1fr)_auto] items-baseline gap-x-3 py-2"
        >
          <span
            class="font-bold"
            :class="line.words && state.replaced[line.item.id] ? 'text-good' : 'text-attention'"
            >{{ state.replaced[line.item.id] ? '✓ new' : 'wanted' }}</span
          >
          <span
            ><span class="font-semibold">{{ t(line.item.name) }}</span
            ><span class="block text-quiet">{{ t(because) }}</span></span
          >
          <NuxtLink v-if="!state.replaced[line.item.id]" class="button" :to="path('car/ledger')"
            >Say it<span class="sr-only">: {{ t(line.item.name) }}</span></NuxtLink
          >
        </li>
      </ul>
    </section>
    <template #margin>
      <div class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg max-lg:hidden">How these are kept</h2>
        <p>
          Rules of safety, reaction and cleanliness hold a step until the one before it is done. Habits only advise.
        </p>
        <p>
          A part whose way was noted goes in only when somebody says that it goes in so. What is used once goes back
          only as a new one.
        </p>
        <p>
          Mounts stay loose until every one is started; the assembly settles; then they are set.
          {{ t('{Lug:many}') }} come last, on the ground.
        </p>
        <p class="text-sm text-quiet">
          The vehicle maker’s instructions, the kit sheet, local codes and licensed practice go before anything shown
          here.
        </p>
      </div>
    </template>
  </SheetWithMargin>
</template>
