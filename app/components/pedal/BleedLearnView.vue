<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { line as linePath } from 'd3-shape'
import { bubbleRise } from '../../../core/hydraulics/bubble-rise'
import { freesAir } from '../../../core/hydraulics/bleed-round'
import type { BleedLine } from '../../../core/hydraulics'
import { minutesText } from '../../words/durations'

/** A line with bubbles, bled round by round: why a rest works, and what another way would do. */
const t = useTerms()
const { store } = useJob()
const marginOpen = ref(false)
const { ways: all } = useBleedWays()
const ways = computed(() => all.value.filter(freesAir))
const chosen = ref('')
const wayId = computed({
  get: () => (ways.value.some(way => way.id === chosen.value) ? chosen.value : ways.value[0]!.id),
  set: id => {
    chosen.value = id
  },
})
const seed = ref(1)
const round = ref(0)
const usual = { bore: 4.5, length: 1400, slope: 25, air: 3, master: 19 }
const fields = [
  { id: 'bore', name: 'Bore of the line', unit: 'mm', low: 2, high: 12, step: 0.5 },
  { id: 'length', name: 'Its length', unit: 'mm', low: 300, high: 4000, step: 50 },
  { id: 'slope', name: 'It rises by', unit: 'degrees', low: 0, high: 80, step: 1 },
  { id: 'air', name: 'Air in it', unit: 'ml', low: 0.2, high: 20, step: 0.2 },
  { id: 'master', name: 'Bore of the master', unit: 'mm', low: 12, high: 28, step: 0.5 },
] as const
type Field = (typeof fields)[number]
const units = useUnits()
const inches = (field: Field) => field.unit === 'mm' && units.unitOf('mm') === 'in'
/** As this garage reads a length: a thousandth of an inch is close enough to a line's bore. */
const shownAs = (field: Field, value: number) => (inches(field) ? Math.round((value / 25.4) * 1000) / 1000 : value)
const typed = reactive(
  Object.fromEntries(fields.map(field => [field.id, shownAs(field, usual[field.id])])) as typeof usual,
)
const given = computed(
  () =>
    Object.fromEntries(
      fields.map(field => [field.id, inches(field) ? typed[field.id] * 25.4 : typed[field.id]]),
    ) as typeof usual,
)
/** A bound that is typed in thousandths of an inch lies within them. */
const slack = (field: Field) => (inches(field) ? 0.02 : 0)
const problemOf = (field: Field) =>
  given.value[field.id] >= field.low - slack(field) && given.value[field.id] <= field.high + slack(field)
    ? ''
    : `Between ${shownAs(field, field.low)} and ${shownAs(field, field.high)}.`
const line = computed((): BleedLine | null =>
  fields.some(problemOf)
    ? null
    : {
        boreMm: given.value.bore,
        pieces: [
          { lengthMm: given.value.length * 0.35, slopeDeg: given.value.slope * 0.8 },
          { lengthMm: given.value.length * 0.3, slopeDeg: given.value.slope * 0.4 },
          { lengthMm: given.value.length * 0.35, slopeDeg: Math.min(85, given.value.slope * 1.8) },
        ],
        masterBoreMm: given.value.master,
        strokeMm: 22,
        pedalRatio: 6,
        airMl: given.value.air,
        heldShare: 0.35,
        reservoirMl: 250,
        lowMl: 120,
        pressureBar: 20,
        lostMostMm: 10,
      },
)
const { report, outcomes, problem } = useBleedSimulation(line, ways, wayId, seed)
watch(report, () => {
  round.value = Math.min(round.value, (report.value?.rounds.length ?? 1) - 1)
})
const shown = computed(() => report.value?.rounds[round.value] ?? null)
const [W, H, LEFT] = [640, 220, 44]
const points = computed(() => [{ atMinutes: 0, airMl: given.value.air }, ...(report.value?.rounds ?? [])])
const x = computed(() => scaleLinear([0, Math.max(1, points.value.at(-1)!.atMinutes)], [LEFT, W - 12]))
const y = computed(() => scaleLinear([0, given.value.air], [H - 28, 14]))
const curve = computed(
  () =>
    linePath<{ atMinutes: number; airMl: number }>(
      point => x.value(point.atMinutes),
      point => y.value(point.airMl),
    )(points.value) ?? '',
)
/** The line as it is drawn: piece by piece up to the reservoir. */
const drawn = computed(() => {
  const pieces = line.value?.pieces ?? []
  const total = pieces.reduce((sum, piece) => sum + piece.lengthMm, 0) || 1
  const scale = 470 / total
  return pieces.reduce<{ x: number; y: number; atMm: number }[]>(
    (list, piece) => {
      const last = list.at(-1)!
      const angle = (piece.slopeDeg * Math.PI) / 180
      return [
        ...list,
        {
          x: last.x + piece.lengthMm * scale * Math.cos(angle),
          y: last.y - piece.lengthMm * scale * Math.sin(angle) * 0.55,
          atMm: last.atMm + piece.lengthMm,
        },
      ]
    },
    [{ x: 50, y: 210, atMm: 0 }],
  )
})
function placeOf(atMm: number) {
  const index = Math.max(
    1,
    drawn.value.findIndex(point => point.atMm >= atMm - 1e-6),
  )
  const [a, b] = [drawn.value[index - 1]!, drawn.value[index] ?? drawn.value.at(-1)!]
  const share = (atMm - a.atMm) / Math.max(1e-6, b.atMm - a.atMm)
  return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share }
}
const hourOf = (diameterMm: number) =>
  given.value.length /
  Math.max(1e-9, bubbleRise({ diameterMm, boreMm: given.value.bore, slopeDeg: Math.max(1, given.value.slope) })) /
  60
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" margin-title="Why a rest works">
    <PedalHead />
    <h1 class="text-2xl">A line with air in it</h1>
    <ChoiceRow
      v-model="wayId"
      class="mt-3"
      label="Way"
      hide-label
      :choices="ways.map(way => ({ id: way.id, label: way.title }))"
    />
    <p v-if="problem" class="mt-3 text-danger" role="alert">{{ t(problem) }}</p>
    <p v-else-if="report" class="mt-4 border-l-4 border-action pl-3 text-xl" data-testid="bleed-outcome">
      <template v-if="report.roundsNeeded"
        >Firm after {{ report.roundsNeeded }} {{ report.roundsNeeded === 1 ? 'round' : 'rounds' }},
        {{ minutesText(report.minutesNeeded!) }}. {{ Math.round(Math.abs(report.usedMl)) }} ml of fluid
        {{ report.usedMl < 0 ? 'pushed up' : 'used' }}, the line holds {{ Math.round(report.lineMl) }} ml.</template
      >
      <template v-else
        >Not firm after {{ report.rounds.length }} rounds: air stays where it is. Another way, or a line that
        rises.</template
      >
    </p>
    <template v-if="report && shown">
      <svg
        viewBox="0 40 640 222"
        role="img"
        :aria-label="`The line after round ${shown.round}: ${shown.airMl.toFixed(2)} ml of air left`"
        class="mt-3 w-full max-w-3xl"
        fill="none"
      >
        <polyline
          :points="drawn.map(point => `${point.x},${point.y}`).join(' ')"
          stroke="var(--line)"
          stroke-width="20"
          stroke-linejoin="round"
        />
        <polyline
          :points="drawn.map(point => `${point.x},${point.y}`).join(' ')"
          stroke="var(--sheet)"
          stroke-width="15"
          stroke-linejoin="round"
        />
        <rect x="12" y="196" width="44" height="40" stroke="var(--ink)" stroke-width="2" fill="var(--tint)" />
        <text x="34" y="256" text-anchor="middle" class="text-sm max-sm:text-[1.4rem]" fill="var(--ink)">slave</text>
        <text
          :x="drawn.at(-1)!.x"
          :y="drawn.at(-1)!.y - 18"
          text-anchor="middle"
          class="text-sm max-sm:text-[1.4rem]"
          fill="var(--ink)"
        >
          reservoir
        </text>
        <circle
          v-for="(bubble, index) in shown.bubbles.filter(each => each.ml > 1e-4)"
          :key="index"
          :cx="placeOf(bubble.atMm).x + ((index % 3) - 1) * 2"
          :cy="placeOf(bubble.atMm).y - (index % 4) * 1.5"
          :r="Math.min(7, 1.6 + bubble.diameterMm * 3)"
          fill="var(--paper)"
          stroke="var(--action)"
          stroke-width="1.6"
        />
        <text x="34" y="222" text-anchor="middle" class="figure text-sm max-sm:text-[1.4rem]" fill="var(--ink)">
          {{ shown.heldMl.toFixed(1) }}
        </text>
      </svg>
      <div class="flex flex-wrap items-center gap-3">
        <button class="button" :disabled="round === 0" @click="round--">Round before</button>
        <span aria-live="polite"
          >Round <span class="figure">{{ shown.round }}</span> of
          <span class="figure">{{ report.rounds.length }}</span>, after {{ minutesText(shown.atMinutes) }}:
          <span class="figure font-bold">{{ shown.airMl.toFixed(2) }} ml</span> left, {{ shown.heldMl.toFixed(2) }} ml
          of it in the slave; pedal {{ shown.feel }}</span
        >
        <button class="button" :disabled="round + 1 >= report.rounds.length" @click="round++">Next round</button>
        <button class="button" @click="seed++">Another line</button>
      </div>
      <svg
        :viewBox="`0 0 ${W} ${H}`"
        role="img"
        aria-label="Air left over time"
        class="mt-3 w-full max-w-3xl"
        fill="none"
      >
        <line :x1="LEFT" :x2="W - 12" :y1="H - 28" :y2="H - 28" stroke="var(--ink)" stroke-width="2" />
        <line :x1="LEFT" :x2="LEFT" y1="10" :y2="H - 28" stroke="var(--ink)" stroke-width="2" />
        <path :d="curve" stroke="var(--action)" stroke-width="3" />
        <circle
          v-for="point in points"
          :key="point.atMinutes"
          :cx="x(point.atMinutes)"
          :cy="y(point.airMl)"
          r="4"
          fill="var(--action)"
        />
        <circle :cx="x(shown.atMinutes)" :cy="y(shown.airMl)" r="8" stroke="var(--attention)" stroke-width="3" />
        <text :x="LEFT - 6" y="22" text-anchor="end" class="figure text-sm max-sm:text-[1.4rem]" fill="var(--ink)">
          {{ given.air }}
        </text>
        <text x="4" :y="H - 60" class="text-sm max-sm:text-[1.4rem]" fill="var(--quiet)">ml</text>
        <text :x="W - 12" :y="H - 8" text-anchor="end" class="text-sm max-sm:text-[1.4rem]" fill="var(--ink)">
          {{ minutesText(points.at(-1)!.atMinutes) }}
        </text>
      </svg>
    </template>
    <section v-if="outcomes.length" class="mt-4 max-w-3xl" aria-labelledby="ways-title" data-testid="ways-compared">
      <h2 id="ways-title" class="border-b border-ink pb-1 text-lg">Every way on this line</h2>
      <ul class="ruled">
        <li
          v-for="way in outcomes"
          :key="way.id"
          class="flex flex-wrap justify-between gap-x-4 py-1.5"
          :class="way.id === wayId ? 'font-semibold' : ''"
        >
          <span>{{ way.title }}</span><span v-if="way.roundsNeeded"
            ><span class="figure">{{ way.roundsNeeded }}</span> {{ way.roundsNeeded === 1 ? 'round' : 'rounds' }},
            {{ minutesText(way.minutesNeeded!) }},
            <span class="figure">{{ Math.round(Math.abs(way.usedMl)) }} ml</span></span
          ><span v-else class="text-attention">not firm, {{ way.airMl.toFixed(1) }} ml stay</span>
        </li>
      </ul>
    </section>
    <div class="mt-4 grid max-w-3xl gap-3 border-t border-rule pt-4 sm:grid-cols-3">
      <div v-for="field in fields" :key="field.id">
        <label class="label" :for="`learn-${field.id}`"
          >{{ field.name }}, {{ inches(field) ? 'in' : field.unit }}</label
        >
        <input
          :id="`learn-${field.id}`"
          v-model.number="typed[field.id]"
          type="number"
          class="figure mt-1"
          :min="shownAs(field, field.low)"
          :max="shownAs(field, field.high)"
          :step="inches(field) ? 'any' : field.step"
        />
        <p v-if="problemOf(field)" class="text-danger">{{ problemOf(field) }}</p>
      </div>
    </div>
    <template #margin>
      <div class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg max-lg:hidden">Why a rest works</h2>
        <p>Strokes tear air off where the slave holds it, in fine bubbles. Fine ones climb slowly: in this line</p>
        <ul class="list-disc pl-5">
          <li v-for="size in [1, 0.3, 0.15]" :key="size">
            one of {{ units.measure(size, 'mm') }} needs {{ minutesText(hourOf(size)) }} to the top
          </li>
        </ul>
        <p>
          So an hour of rest clears what strokes have freed, and a night what is finer. Where the line runs level
          nothing climbs.
        </p>
        <p class="text-sm text-quiet">
          Rise: Stokes’ law with the Schiller–Naumann drag, walls after Clift, Grace and Weber 1978, slugs after Wallis
          1969. Pressure and volume: Boyle. Sizes of bubbles and what strokes free are from memory. The same number of
          the line gives the same line.
        </p>
      </div>
    </template>
  </SheetWithMargin>
</template>
