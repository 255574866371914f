<script setup lang="ts">
import { CANDIDATES, comparedOn, fieldsOfOne } from '../../../core/job'
import type { SheetValues, WeighedCandidate } from '../../../core/bench'
import type { Sheet } from '../../../core/packs'
import { newId } from '../../log/ids'
import { sheetPath } from '../../links/sheet-path'
import { levelWords } from '../../words/level-words'

/** Parts that may go in, side by side: which fits this use, and why not the others. */
const props = defineProps<{ sheet: Sheet }>()
const { store, state, path } = useBench()
const t = useTerms()
const marginOpen = ref(false)
const beside = computed(() => props.sheet.beside!)
const compared = computed(() => comparedOn(state.value, props.sheet))
const lying = computed(() => state.value.candidates[props.sheet.id] ?? [])
const chosen = computed(() => state.value.chosenCandidates[props.sheet.id] ?? null)
/** The sheet as it is asked of one of them. */
const asked = computed((): Sheet => ({ ...props.sheet, fields: fieldsOfOne(props.sheet) }))
const aheadOf = (id: string): SheetValues =>
  store.ahead.candidates[props.sheet.id]?.find(each => each.id === id)?.values ?? {}
const valuesOf = (id: string): SheetValues => lying.value.find(each => each.id === id)?.values ?? {}

/** Whose figures are open, and whose computation stands in the margin. */
const opened = ref<string | null>(null)
const told = computed(
  () => compared.value.ranked.find(({ id }) => id === opened.value) ?? compared.value.ranked[0] ?? null,
)

const name = ref('')
const problem = ref('')
const full = computed(() => lying.value.length >= CANDIDATES)
function add(values: SheetValues, called: string) {
  const candidateId = newId()
  problem.value =
    called === ''
      ? `What is the ${beside.value.one} called?`
      : (store.attempt('candidate-read', { sheetId: props.sheet.id, candidateId, name: called, values, cleared: [] }) ??
        '')
  if (problem.value) return
  name.value = ''
  opened.value = candidateId
}
/** What stands on the sheet of it now: the one in the car, as a rule. */
const onSheet = computed(() =>
  Object.fromEntries(
    Object.entries(state.value.sheets[props.sheet.id]?.values ?? {}).filter(([id]) => beside.value.own.includes(id)),
  ),
)
const IN_THE_CAR = 'The one in the car'
const canTake = computed(
  () => Object.keys(onSheet.value).length > 0 && !lying.value.some(each => each.name === IN_THE_CAR),
)
function read(candidateId: string, called: string, values: SheetValues, cleared: string[]) {
  store.write('candidate-read', { sheetId: props.sheet.id, candidateId, name: called, values, cleared })
}
function choose({ id }: WeighedCandidate) {
  store.write('candidate-chosen', { sheetId: props.sheet.id, candidateId: id, because: compared.value.because })
}
const signOf = (one: WeighedCandidate) =>
  one.fits && one.verdict.level
    ? levelWords[one.verdict.level]
    : one.verdict.level === 'renew'
      ? levelWords.renew
      : { word: 'Not known yet', sign: '?', text: 'text-quiet', border: 'border-rule' }
const wordOf = (one: WeighedCandidate) =>
  one.fits
    ? one.verdict.level === 'good'
      ? 'Fits'
      : 'Fits, but'
    : one.verdict.level === 'renew'
      ? 'Does not fit'
      : 'Not known yet'
const said = (one: WeighedCandidate) =>
  one.verdict.findings.filter(each => each.judge !== null || each.level !== 'good').slice(0, 4)
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" margin-title="How it is worked out">
    <slot />
    <h1 class="mt-3 text-2xl">{{ t(beside.title) }}</h1>
    <p class="mt-1 max-w-2xl text-quiet">
      What the car asks stands on
      <NuxtLink class="font-semibold underline" :to="path(sheetPath(sheet))">{{ t(sheet.title) }}</NuxtLink> and counts
      for all of them. What is a {{ beside.one }}’s own is asked of each.
    </p>
    <p
      v-if="compared.ranked.length"
      class="mt-4 max-w-3xl border-l-4 pl-3 text-xl leading-snug"
      :class="compared.advised ? 'border-action' : 'border-attention'"
      aria-live="polite"
      data-testid="because"
    >
      {{ t(compared.because) }}
    </p>
    <p v-if="chosen" class="mt-3 text-lg" data-testid="chosen">
      Chosen: <span class="font-semibold">{{ chosen.name }}</span>. Its figures stand on the sheet.
    </p>
    <BesideTable v-if="compared.ranked.length" class="mt-5" :sheet="sheet" :ranked="compared.ranked" />
    <ul class="ruled mt-5 border-t border-rule">
      <li v-for="one in compared.ranked" :key="one.id" class="py-4" :data-testid="`candidate-${one.name}`">
        <div class="flex flex-wrap items-baseline gap-x-4 gap-y-2">
          <h2 class="min-w-0 flex-1 basis-56 text-lg">
            {{ one.name
            }}<span class="ml-3 text-base font-bold" :class="signOf(one).text"
              ><span class="figure" aria-hidden="true">{{ signOf(one).sign }}</span> {{ wordOf(one) }}</span
            >
          </h2>
          <button
            class="button"
            :class="one.id === compared.advised && chosen?.candidateId !== one.id ? 'button-main' : ''"
            :disabled="chosen?.candidateId === one.id"
            :aria-label="`Choose: ${one.name}`"
            @click="choose(one)"
          >
            {{ chosen?.candidateId === one.id ? 'Chosen' : 'Choose' }}
          </button>
          <button
            class="button"
            :aria-expanded="opened === one.id"
            :aria-label="`Figures of ${one.name}`"
            @click="opened = opened === one.id ? null : one.id"
          >
            Figures
          </button>
          <button
            class="button"
            :aria-label="`Take away: ${one.name}`"
            @click="store.write('candidate-dropped', { sheetId: sheet.id, candidateId: one.id })"
          >
            Take away
          </button>
        </div>
        <ul class="mt-2 grid gap-1">
          <li
            v-for="(finding, index) in said(one)"
            :key="index"
            class="border-l-4 pl-3"
            :class="levelWords[finding.level].border"
          >
            <span class="sr-only">{{ levelWords[finding.level].word }}. </span>{{ t(finding.sentence) }}
          </li>
        </ul>
        <p v-if="one.verdict.wanted.length" class="mt-2 text-quiet">
          Still wanted: {{ one.verdict.wanted.map(field => t(field).toLowerCase()).join(', ') }}.
        </p>
        <SheetForm
          v-if="opened === one.id"
          class="mt-4"
          :sheet="asked"
          :values="valuesOf(one.id)"
          :ahead="aheadOf(one.id)"
          :prefix="one.id"
          @read="(values, cleared) => read(one.id, one.name, values, cleared)"
        />
      </li>
    </ul>
    <p v-if="lying.length === 0" class="py-3 text-lg text-quiet">
      Nothing lies here yet. Two or three are worth laying side by side: the one in the car, and those that could be
      had.
    </p>
    <form v-if="!full" class="mt-2 flex flex-wrap items-end gap-3" novalidate @submit.prevent="add({}, name.trim())">
      <Field
        v-slot="{ control }"
        id="candidate-name"
        class="min-w-56 flex-1"
        :label="`Another ${beside.one}`"
        :problem="problem"
        ><input
          v-bind="control"
          v-model="name"
          class="mt-1"
          maxlength="80"
          autocomplete="off"
          placeholder="What it is called"
      /></Field>
      <button class="button button-main">Lay it here</button>
      <button v-if="canTake" type="button" class="button" @click="add(onSheet, IN_THE_CAR)">
        {{ IN_THE_CAR }}
      </button>
    </form>
    <p v-else class="mt-2 text-quiet">{{ CANDIDATES }} lie here: take one away to lay another.</p>
    <template #margin>
      <p v-if="told" class="label mb-2">{{ told.name }}</p>
      <WorkingMargin v-if="told" :sheet="sheet" :verdict="told.verdict" />
      <p v-else class="text-quiet">Each is put through the computations of the sheet; their lines appear here.</p>
    </template>
  </SheetWithMargin>
</template>
