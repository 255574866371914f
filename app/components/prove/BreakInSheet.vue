<script setup lang="ts">
import { distanceToGo } from '../../../core/job'
import { convert } from '../../../core/units'

/** The break-in: the rule from the sheet with its unit asked for, and how far it has come. */
const t = useTerms()
const numbers = useNumbers()
const { store, state } = useJob()
const units = useUnits()
const distance = ref('')
const distanceUnit = ref<'km' | 'mi' | null>(null)
/** The sheet that named the kit's figure tells the break-in too. */
const source = ref(
  (state.value.procedure?.groups ?? [])
    .filter(group => group.part === 'kit')
    .flatMap(group => state.value.figures[group.id] ?? [])
    .findLast(figure => figure.sourceKind === 'kit-sheet')?.reference ?? '',
)
const odometer = ref('')
const reading = ref('')
const stopAndGo = ref('')
const hard = ref(false)
const { problems, allGood } = useProblems()
const progress = computed(() => state.value.breakIn && distanceToGo(state.value.breakIn))
const typed = reactive<{ odometer: number | null; reading: number | null; unsure: boolean }>({
  odometer: null,
  reading: null,
  unsure: false,
})
const inKm = (value: number | null) => (value === null ? NaN : convert(value, units.preference.value.distance, 'km'))

function set() {
  const value = numbers.plain(distance.value)
  const good = allGood({
    distance: !(value > 0) && 'How far, as a number above zero?',
    unit: distanceUnit.value === null && 'Kilometres or miles? Sheets are misread here; look again.',
    source: source.value.trim().length < 3 && 'Which sheet says so?',
    odometer: typed.unsure
      ? 'Say first which of the two the odometer shows.'
      : !(inKm(typed.odometer) >= 0) && 'Where does the odometer stand?',
  })
  if (!good) return
  allGood({
    form: store.attempt('break-in-set', {
      distanceKm: convert(value, distanceUnit.value!, 'km'),
      writtenAs: `${value} ${distanceUnit.value}`,
      source: source.value.trim(),
      odometerKm: inKm(typed.odometer),
    }),
  })
}
function read() {
  const km = inKm(typed.reading)
  const share = stopAndGo.value.trim() === '' ? undefined : numbers.plain(stopAndGo.value) / 100
  const good = allGood({
    reading: typed.unsure ? 'Say first which of the two it is.' : !(km >= 0) && 'An odometer shows a number from 0 up.',
    stopAndGo: share !== undefined && !(share >= 0 && share <= 1) && 'Stop-and-go is 0 to 100 in 100.',
  })
  if (!good) return
  const refusal = store.attempt('odometer-read', {
    odometerKm: km,
    ...(share === undefined ? {} : { stopAndGo: share }),
    ...(hard.value ? { hard: true } : {}),
  })
  if (!allGood({ form: refusal })) return
  reading.value = ''
  stopAndGo.value = ''
  hard.value = false
}
</script>

<template>
  <section aria-label="Rule and readings">
    <template v-if="state.breakIn && progress">
      <p class="mt-3 text-lg">
        <span class="figure text-figure font-bold leading-none">{{ units.distance(progress.toGoKm) }}</span> to go of
        {{ units.distance(state.breakIn.distanceKm)
        }}<span v-if="!state.breakIn.writtenAs.endsWith(units.preference.value.distance)" class="text-base text-quiet"
          >, written as {{ state.breakIn.writtenAs }}</span
        >
      </p>
      <div
        class="mt-3 h-4 border-2 border-ink"
        role="progressbar"
        :aria-valuenow="Math.round(progress.share * 100)"
        aria-valuemin="0"
        aria-valuemax="100"
        aria-label="Break-in driven"
      >
        <div class="h-full bg-ink" :style="{ width: `${progress.share * 100}%` }" />
      </div>
      <p class="mt-2 text-quiet">
        {{ units.distance(progress.drivenKm) }} driven. {{ state.breakIn.source }}. Stop-and-go, no slipping, no hard
        launches.
      </p>
      <form class="mt-3 flex flex-wrap items-end gap-2" novalidate @submit.prevent="read">
        <NumberTyped
          id="break-in-reading"
          v-model="reading"
          :problem="problems.reading"
          :label="`Odometer now, ${units.preference.value.distance}`"
          :unit="units.preference.value.distance"
          @read="
            value => {
              typed.reading = value
            }
          "
          @doubt="
            unsure => {
              typed.unsure = unsure
            }
          "
        />
        <div class="w-44">
          <Field
            v-slot="{ control }"
            id="stop-and-go"
            label="Stop-and-go since, in 100"
            :problem="problems.stopAndGo ?? ''"
            ><input
              v-bind="control"
              v-model="stopAndGo"
              class="figure mt-1"
              inputmode="numeric"
              autocomplete="off"
              placeholder="if told"
          /></Field>
        </div>
        <label class="flex min-h-12 items-center gap-2"
          ><input v-model="hard" type="checkbox" class="size-5 min-h-0 w-auto" />slipped, launched or pulled hard</label
        >
        <button class="button">Read</button>
      </form>
    </template>
    <form v-else class="mt-3 grid max-w-xl gap-4" novalidate @submit.prevent="set">
      <p class="text-quiet">From the kit sheet. The distance starts at the hand-over.</p>
      <div class="grid gap-4 sm:grid-cols-2">
        <Field v-slot="{ control }" id="break-in-distance" label="Gentle use for" :problem="problems.distance ?? ''"
          ><input v-bind="control" v-model="distance" class="figure mt-1" inputmode="numeric" autocomplete="off"
        /></Field>
        <ChoiceRow
          v-model="distanceUnit"
          label="Written in"
          :problem="problems.unit"
          :choices="[
            { id: 'km', label: 'km' },
            { id: 'mi', label: 'miles' },
          ]"
        />
      </div>
      <Field v-slot="{ control }" id="break-in-source" label="Which sheet" :problem="problems.source ?? ''"
        ><input v-bind="control" v-model="source" class="mt-1" maxlength="200"
      /></Field>
      <NumberTyped
        id="break-in-odometer"
        v-model="odometer"
        :problem="problems.odometer"
        :label="`Odometer at hand-over, ${units.preference.value.distance}`"
        :unit="units.preference.value.distance"
        @read="
          value => {
            typed.odometer = value
          }
        "
        @doubt="
          unsure => {
            typed.unsure = unsure
          }
        "
      />
      <button class="button">Set the break-in</button>
    </form>
    <p class="mt-2 min-h-6 text-danger" role="alert">{{ t(problems.form ?? '') }}</p>
  </section>
</template>
