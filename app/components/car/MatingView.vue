<script setup lang="ts">
import { clockOf } from '../../../core/alignment'
import { answerOf, lastGap, matingCausesOf, matingChecks } from '../../../core/job/views/mating'
import type { MatingCheck } from '../../../core/packs'
import { newId } from '../../log/ids'
import { readEntry, unitTyped } from '../../words/read-entry'

/** Bringing box and engine together: what is right already, how it is brought up, and what a gap that is left means. */
const { store, state, path } = useJob()
const t = useTerms()
const units = useUnits()
const marginOpen = ref(false)
const mating = computed(() => state.value.procedure!.bench.mating!)
const checks = computed(() => matingChecks(state.value))
const gap = computed(() => lastGap(state.value))
const causes = computed(() => matingCausesOf(state.value))
const step = computed(() => state.value.procedure!.operations.find(operation => operation.id === mating.value.step)!)
const places = [
  { deg: 0, name: 'top' },
  { deg: 90, name: 'right' },
  { deg: 180, name: 'bottom' },
  { deg: 270, name: 'left' },
]
const typed = ref<Record<number, string>>({})
const across = ref('')
const { problems, allGood } = useProblems()
const unit = computed(() => unitTyped('mm', units.preference.value))
watch(
  gap,
  last => {
    if (last && !across.value)
      across.value = units.preference.value.length === 'mm' ? String(last.diameterMm) : `${last.diameterMm} mm`
  },
  { immediate: true },
)
/** A question that can be answered here, with its answers. */
function question(check: MatingCheck) {
  const field =
    check.answer &&
    state.value
      .procedure!.bench.sheets.find(sheet => sheet.id === check.answer!.sheet)
      ?.fields.find(entry => entry.id === check.answer!.field)
  return field?.kind === 'choice'
    ? { ...check.answer!, answers: field.answers, given: answerOf(state.value, check.answer!) }
    : null
}
const answer = (asked: { sheet: string; field: string }, id: string) =>
  store.write('sheet-read', {
    sheetId: asked.sheet,
    values: { [asked.field]: { kind: 'choice', answer: id } },
    cleared: [],
  })
const signs = {
  right: { sign: '✓', word: 'right', tone: 'text-good' },
  wrong: { sign: '✕', word: 'not right', tone: 'text-danger' },
  open: { sign: '–', word: 'not known', tone: 'text-quiet' },
} as const

function keep() {
  const diameter = readEntry(across.value, 'mm', units.preference.value)
  const readings = places
    .filter(place => typed.value[place.deg]?.trim())
    .map(place => ({ angleDeg: place.deg, ...readEntry(typed.value[place.deg]!, 'mm', units.preference.value) }))
  const unread = readings.filter(reading => reading.value === null)
  const good = allGood({
    ...Object.fromEntries(unread.map(({ angleDeg, entered }) => [angleDeg, `“${entered}” is not a number.`])),
    across: diameter.value === null && 'Across which diameter was it measured?',
    form: readings.length < 3 && 'Three places at least.',
  })
  if (!good) return
  if (
    store.write('gap-measured', {
      diameterMm: diameter.value!,
      readings: readings.map(({ angleDeg, value }) => ({ angleDeg, gapMm: value! })),
    })
  )
    typed.value = {}
}
const climb = () =>
  store.write('ladder-opened', {
    ladderRunId: newId(),
    ladderId: homeLadder.value!.id,
    stepId: mating.value.step,
    text: t(homeLadder.value!.title),
  })
/** The ladder that stands at this step and measures the gap. */
const homeLadder = computed(
  () =>
    state.value.procedure!.ladders.find(
      ladder => ladder.steps.includes(mating.value.step) && ladder.rungs.some(rung => rung.gap),
    ) ?? null,
)
const climbing = computed(() =>
  state.value.ladderRuns.some(run => run.ladderId === homeLadder.value?.id && !run.closedAt),
)
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" margin-title="The gap rule">
    <CarHead />
    <h1 class="text-2xl">Mating</h1>
    <p class="text-quiet">{{ t(step.title) }}.</p>

    <section class="mt-4" aria-labelledby="before">
      <h2 id="before" class="border-b-2 border-ink pb-1 text-lg">Before it goes up</h2>
      <ul class="ruled">
        <li
          v-for="{ check, stand } in checks"
          :key="check.id"
          class="grid grid-cols-[7rem_minmax(0,1fr)] items-baseline gap-x-3 py-2"
          :data-testid="`check-${check.id}`"
        >
          <span class="font-bold" :class="signs[stand].tone"
            ><span class="figure" aria-hidden="true">{{ signs[stand].sign }}</span> {{ signs[stand].word }}</span
          >
          <span
            ><span class="font-semibold">{{ t(check.title) }}</span
            ><span class="block text-sm text-quiet">{{ t(check.because) }}</span>
            <span v-if="question(check)" class="mt-1 flex flex-wrap gap-2"
              ><button
                v-for="entry in question(check)!.answers"
                :key="entry.id"
                class="button"
                :class="question(check)!.given === entry.id ? 'border-action! bg-tint!' : ''"
                :aria-pressed="question(check)!.given === entry.id"
                @click="answer(question(check)!, entry.id)"
              >
                {{ t(entry.label) }}
              </button></span
            >
          </span>
        </li>
      </ul>
    </section>

    <section class="mt-5" aria-labelledby="approach">
      <h2 id="approach" class="border-b-2 border-ink pb-1 text-lg">How it is brought up</h2>
      <ol class="mt-2 list-decimal pl-6 text-lg">
        <li v-for="line in mating.approach" :key="line" class="py-0.5">{{ t(line) }}</li>
      </ol>
    </section>

    <section class="mt-5" aria-labelledby="gap">
      <h2 id="gap" class="border-b-2 border-ink pb-1 text-lg">The gap round the bell</h2>
      <div class="mt-3 grid items-start gap-6 md:grid-cols-[minmax(0,1fr)_minmax(14rem,19rem)]">
        <div>
          <p
            v-if="gap"
            class="border-l-4 pl-3 text-xl"
            :class="gap.found.closed ? 'border-good' : 'border-danger'"
            data-testid="gap-verdict"
            aria-live="polite"
          >
            <template v-if="gap.found.closed"
              >The faces meet all round. Two bolts now, one each side, snug by hand.</template
            >
            <template v-else
              >{{ units.measure(gap.found.widestMm, 'mm', 1) }} at {{ clockOf(gap.found.widestAtDeg) }},
              {{ units.measure(gap.found.meanMm, 'mm', 1) }} on average: it stands
              {{ gap.pattern === 'even' ? 'off evenly' : `askew by ${gap.found.tiltDeg.toFixed(2)}°` }}. Something is in
              the way. Do not pull it in with the bolts.</template
            >
          </p>
          <p v-else class="text-lg text-quiet">Measure it when the box is up as far as it goes by hand.</p>
          <form class="mt-3 flex flex-wrap items-end gap-2" novalidate @submit.prevent="keep">
            <div v-for="place in places" :key="place.deg" class="w-24">
              <Field
                v-slot="{ control }"
                :id="`gap-${place.deg}`"
                :label="place.name"
                :problem="problems[place.deg] ?? ''"
                ><input
                  v-bind="control"
                  v-model="typed[place.deg]"
                  class="figure mt-1 text-lg"
                  inputmode="decimal"
                  autocomplete="off"
              /></Field>
            </div>
            <div class="w-32">
              <Field v-slot="{ control }" id="gap-across" :label="`across, ${unit}`" :problem="problems.across ?? ''"
                ><input
                  v-bind="control"
                  v-model="across"
                  class="figure mt-1 text-lg"
                  inputmode="decimal"
                  autocomplete="off"
              /></Field>
            </div>
            <button class="button button-main">Keep this gap</button
            ><button type="button" class="button" @click="store.undo">Undo</button>
          </form>
          <p v-if="problems.form" class="mt-1 text-danger" role="alert">{{ problems.form }}</p>
        </div>
        <GapPicture v-if="gap" :readings="gap.readings" :found="gap.found" />
      </div>
    </section>

    <section v-if="gap && !gap.found.closed" class="mt-5" aria-labelledby="causes">
      <h2 id="causes" class="border-b-2 border-ink pb-1 text-lg">Why, the likeliest first</h2>
      <ol class="ruled">
        <li
          v-for="cause in causes"
          :key="cause.id"
          class="grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-3 py-3"
          :data-testid="`cause-${cause.id}`"
        >
          <span class="figure text-xl font-bold">{{ Math.round(cause.probability * 100) }}&nbsp;%</span>
          <span
            ><span class="text-lg font-semibold">{{ t(cause.title) }}</span
            ><span v-for="line in cause.because" :key="line" class="block">{{ t(line) }}</span
            ><span class="block text-quiet">{{ t(cause.todo) }}</span></span
          >
        </li>
      </ol>
      <p v-if="homeLadder" class="mt-3">
        <NuxtLink v-if="climbing" class="button" :to="path('work')">To the ladder</NuxtLink>
        <button v-else class="button" @click="climb">Take it up its ladder</button>
      </p>
    </section>

    <template #margin>
      <div class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg">The gap rule</h2>
        <p>
          A box goes home by hand or not at all. A gap that is left, even a few millimeters, is something in the way;
          bolts bend the disc, crack an ear or break the pump.
        </p>
        <p>
          An even gap speaks for the disc, the pilot or the splines; one that is open to a side for a dowel, something
          trapped, or a box that hangs.
        </p>
        <p>
          Percentages come from how often each cause is the one, from memory of the trade, changed by how the gap lies
          and by what this job’s log knows.
        </p>
        <p class="text-quiet">
          The step is told that the faces meet only when the last gap measured was closed. The vehicle maker’s
          instructions and licensed practice go before anything shown here.
        </p>
      </div>
    </template>
  </SheetWithMargin>
</template>
