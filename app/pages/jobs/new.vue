<script setup lang="ts">
import { fetchKept } from '../../device/fetch-kept'
import { keepNewCar, stillNewCars } from '../../device/new-cars'
import type { CausesAnswer, PackLine, VehicleAnswer } from '../../../contracts/answers'
import { newJob } from '../../../contracts/jobs'
import type { NewJob } from '../../../contracts/jobs'
import type { CauseTables, Pack, PackOption, Symptom } from '../../../core/packs'
import { inFamilies } from '../../words/in-families'
import { symptomsOf } from '../../../core/packs/symptoms-of'
import { withChoice } from '../../../core/job'
import { convert } from '../../../core/units'
import { deviceId, newId } from '../../log/ids'
import { utcOffsetMinutes } from '../../words/utc-offset'

definePageMeta({ wants: 'work' })

useHead({ title: 'Take-in · Eldrin' })
const numbers = useNumbers()
const garage = useGarageStore()
const units = useUnits()
const t = useTerms()
const vehicles = ref<VehicleAnswer[]>([])
const packLines = ref<PackLine[]>([])
const pack = shallowRef<Pack | null>(null)
const causes = shallowRef<CauseTables[]>([])
const chosenPackId = ref('')
const failed = ref(false)
const jobId = newId()

const values = reactive({
  vehicleId: '',
  causeTable: '',
  comebackOf: '',
  outcomes: {} as Record<string, string>,
  symptoms: [] as string[],
  text: '',
  pumpResult: 'not-done' as NewJob['pumpTest']['result'],
  strokes: '',
  odometer: '',
  options: {} as Record<string, string>,
})
/** Whether the pumped pedal tells anything of it. */
const pumps = ref(true)
/** What such a car can do, as its owner tells it, in the words of the layout that was here last. */
const known = shallowRef<Symptom[]>([])
const { problems, check } = useChecked(newJob)
const submitting = ref(false)
const comes = ref<'whole' | 'apart'>('whole')
const { takeIn } = useTakeIn()
/** Cars that the server has not heard of. */
const newCars = new Set<string>()
const car = computed(() => vehicles.value.find(vehicle => vehicle.id === values.vehicleId))

async function submit() {
  submitting.value = true
  const unread: Record<string, string> = odometerDoubt.value ? { odometerKm: 'Say first which of the two it is.' } : {}
  const isOpen = await check(
    request(),
    body => takeIn(body, pack.value!, { vehicle: car.value!, isNew: newCars.has(body.vehicleId) }),
    unread,
  )
  submitting.value = false
  if (isOpen) await navigateTo(`/jobs/${jobId}/${comes.value === 'apart' ? 'car/apart' : 'plan'}`)
}

const odometer = ref<number | null>(null)
const odometerDoubt = ref(false)
/** The odometer in km; what is no number becomes one that is refused. */
const odometerKm = (text: string): number | null =>
  text.trim() === ''
    ? null
    : odometer.value === null
      ? -1
      : convert(odometer.value, units.preference.value.distance, 'km')

const fieldNames: Record<string, string> = {
  vehicleId: 'Car',
  odometerKm: 'Odometer',
  complaint: 'What it does',
  pumpTest: 'Pumped pedal',
  findings: 'Tests before dismantling',
  options: 'How it will be done',
}
function request() {
  const isPumped = pumps.value && values.pumpResult !== 'not-done'
  return {
    id: jobId,
    vehicleId: values.vehicleId,
    packId: pack.value?.id ?? '',
    options: values.options,
    complaint: { symptoms: values.symptoms, text: values.text },
    pumpTest: isPumped
      ? { result: values.pumpResult, strokes: values.strokes.trim() === '' ? null : numbers.plain(values.strokes) }
      : { result: 'not-done' as const, strokes: null },
    ...(Object.keys(values.outcomes).length > 0
      ? { findings: { tableId: values.causeTable, outcomes: values.outcomes } }
      : {}),
    ...(values.comebackOf ? { comebackOf: values.comebackOf } : {}),
    odometerKm: odometerKm(values.odometer),
    personId: garage.personId,
    deviceId: deviceId(),
    at: new Date().toISOString(),
    utcOffsetMinutes: utcOffsetMinutes(),
  }
}

/** The garage's own choice where trades people disagree, else the pack's default. */
function schoolOr(option: PackOption): string {
  const own = garage.garage?.schools[option.id]
  return option.school && option.choices.some(choice => choice.id === own) ? own! : option.default
}

async function choosePack(id: string) {
  chosenPackId.value = id
  pack.value = null
  const found = await fetchKept<Pack>(`/api/packs/${id}`)
  if (chosenPackId.value !== id) return
  pack.value = found
  // A layout of before has no words of its own.
  known.value = found.symptoms ?? symptomsOf(causes.value)
  const told = new Set(known.value.map(symptom => symptom.id))
  values.symptoms = values.symptoms.filter(id => told.has(id))
  values.options = Object.fromEntries(pack.value.options.map(option => [option.id, schoolOr(option)]))
}
/** Another layout; when it cannot be fetched, the page says so and offers to try again. */
function change(id: string) {
  choosePack(id).catch(() => {
    failed.value = true
  })
}
async function load() {
  failed.value = false
  try {
    const [known, lines, { tables }] = await Promise.all([
      fetchKept<VehicleAnswer[]>('/api/vehicles'),
      fetchKept<PackLine[]>('/api/packs').then(lines => lines.filter(line => !line.fault)),
      fetchKept<CausesAnswer>('/api/causes'),
    ])
    const own = stillNewCars(known)
    for (const { id } of own) newCars.add(id)
    // Who is quick has added a car before the list came; the list does not take it away.
    const listed = new Set([...known, ...own].map(({ id }) => id))
    vehicles.value = [...known, ...own, ...vehicles.value.filter(({ id }) => !listed.has(id))]
    packLines.value = lines
    causes.value = tables
    await choosePack(packLines.value[0]!.id)
  } catch {
    failed.value = true
  }
}
onMounted(load)

const { preview, differences } = usePlanPreview(() => pack.value && { pack: pack.value, options: values.options })
function toggleSymptom(id: string) {
  const { symptoms } = values
  values.symptoms = symptoms.includes(id) ? symptoms.filter(other => other !== id) : [...symptoms, id]
}
function added(vehicle: VehicleAnswer, isNew: boolean) {
  if (isNew) {
    newCars.add(vehicle.id)
    keepNewCar(vehicle)
  }
  vehicles.value = [...vehicles.value, vehicle]
  values.vehicleId = vehicle.id
}
</script>

<template>
  <div>
    <header class="flex items-center gap-5 border-b-2 border-ink bg-sheet px-4 py-2 sm:px-7">
      <NuxtLink to="/" class="flex min-h-11 items-center font-bold underline">Yard</NuxtLink>
      <p class="text-lg font-semibold">Take-in</p>
    </header>
    <SheetWithMargin margin-title="The plan it makes">
      <div v-if="failed" role="alert">
        <h1 class="text-2xl">The cars and layouts could not be fetched</h1>
        <button class="button button-main mt-4" @click="load">Try again</button>
      </div>
      <form v-else class="clear-both grid gap-9" novalidate @submit.prevent="submit">
        <section>
          <h1 class="text-2xl">Which car</h1>
          <VehiclePicker class="mt-3" :vehicles="vehicles" v-model="values.vehicleId" @added="added" />
          <EarlierJobs
            v-if="values.vehicleId"
            :key="values.vehicleId"
            v-model="values.comebackOf"
            class="mt-4"
            :vehicle-id="values.vehicleId"
          />
          <div class="mt-4 max-w-xs">
            <NumberTyped
              id="odometer"
              v-model="values.odometer"
              :label="`Odometer, ${units.preference.value.distance}`"
              :unit="units.preference.value.distance"
              :problem="problems.odometerKm"
              @read="
                value => {
                  odometer = value
                }
              "
              @doubt="
                unsure => {
                  odometerDoubt = unsure
                }
              "
            />
          </div>
        </section>
        <section v-if="packLines.length > 1">
          <h2 class="text-2xl">How it is built</h2>
          <ChoiceRow
            class="mt-3"
            label="Layout"
            hide-label
            :model-value="chosenPackId"
            :choices="
              inFamilies(packLines).flatMap(([family, lines]) =>
                lines.map(line => ({ id: line.id, label: t(line.title), ...(family ? { group: t(family) } : {}) })),
              )
            "
            @update:model-value="id => change(id!)"
          />
          <p v-if="pack" class="mt-3 text-quiet">{{ t(pack.about) }}</p>
          <p v-else class="mt-3 text-quiet" role="status">Fetching its work</p>
        </section>
        <ChoiceRow
          v-model="comes"
          label="How does it come"
          :choices="[
            { id: 'whole', label: 'In one piece' },
            { id: 'apart', label: 'Half apart: say next what is off' },
          ]"
        />
        <ComplaintFields
          v-model:text="values.text"
          v-model:result="values.pumpResult"
          v-model:strokes="values.strokes"
          :known="known"
          :symptoms="values.symptoms"
          :pumps="pumps"
          :problem="problems.complaint"
          :pump-problem="problems.pumpTest"
          @toggle="toggleSymptom"
        />
        <CausesPanel
          v-model:table="values.causeTable"
          v-model:outcomes="values.outcomes"
          v-model:pumps="pumps"
          :pack="pack"
          :symptoms="values.symptoms"
          :result="values.pumpResult"
        />
        <section v-if="pack">
          <h2 class="text-2xl">How it will be done</h2>
          <OptionList
            class="mt-4"
            :pack="pack"
            :chosen="values.options"
            :differences="differences"
            pending
            @choose="(option, choice) => (values.options = withChoice(pack!, values.options, option, choice))"
          />
        </section>
        <div>
          <ul v-if="Object.keys(problems).length" class="mb-3 border-l-4 border-danger pl-4 text-lg" role="alert">
            <li v-for="(reason, field) in problems" :key="field">
              <template v-if="fieldNames[field]">{{ fieldNames[field] }}: </template>{{ t(reason) }}
            </li>
          </ul>
          <p v-if="!values.vehicleId" class="mb-2 text-quiet">Choose the car first.</p>
          <button
            class="button button-main button-big w-full sm:w-auto"
            :disabled="submitting || !pack || !values.vehicleId"
          >
            {{ submitting ? 'Planning' : 'Make the plan' }}
          </button>
        </div>
      </form>
      <template #margin><PreviewPanel :preview="preview" /></template>
    </SheetWithMargin>
  </div>
</template>
