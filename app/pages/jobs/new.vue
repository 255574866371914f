<script setup lang="ts">
import { useForm } from '@tanstack/vue-form'
import type { PackLine, VehicleAnswer } from '../../../contracts/answers'
import { newJob } from '../../../contracts/jobs'
import type { NewJob } from '../../../contracts/jobs'
import type { Pack, PackOption } from '../../../core/packs'
import { convert } from '../../../core/units'
import { deviceId, newId } from '../../lib/ids'
import { issuesOf } from '../../lib/reason-of'
import { utcOffsetMinutes } from '../../lib/utc-offset'

useHead({ title: 'Take-in · Eldrin' })
const numbers = useNumbers()
const garage = useGarageStore()
const units = useUnits()
const t = useTerms()
const vehicles = ref<VehicleAnswer[]>([])
const packLines = ref<PackLine[]>([])
const pack = shallowRef<Pack | null>(null)
const chosenPackId = ref('')
const failed = ref(false)
const issues = ref<{ field: string, reason: string }[]>([])
const jobId = newId()

const form = useForm({
  defaultValues: {
    vehicleId: '', causeTable: 'pedal', comebackOf: '', outcomes: {} as Record<string, string>, symptoms: [] as string[], text: '', pumpResult: 'not-done' as NewJob['pumpTest']['result'], strokes: '', odometer: '', options: {} as Record<string, string>,
  },
  onSubmit: async ({ value }) => {
    issues.value = []
    if (odometerDoubt.value) return refuse([{ field: 'odometerKm', reason: 'Say first which of the two it is.' }])
    const request = newJob.safeParse(requestOf(value))
    if (!request.success) return refuse(request.error.issues.map(issue => ({ field: String(issue.path[0]), reason: issue.message })))
    try {
      await $fetch('/api/jobs', { method: 'POST', body: request.data })
      await navigateTo(`/jobs/${jobId}/plan`)
    }
    catch (error) {
      refuse(issuesOf(error).map(issue => ({ field: issue.path.split('.')[0]!, reason: units.sentence(issue.reason) })))
    }
  },
})
const values = form.useStore(store => store.values)
const submitting = form.useStore(store => store.isSubmitting)

const odometer = ref<number | null>(null)
const odometerDoubt = ref(false)
/** The odometer in km; what is no number becomes one that is refused. */
const odometerKm = (text: string): number | null => text.trim() === '' ? null : odometer.value === null ? -1 : convert(odometer.value, units.preference.value.distance, 'km')

const fieldNames: Record<string, string> = { vehicleId: 'Car', odometerKm: 'Odometer', complaint: 'What it does', pumpTest: 'Pumped pedal', findings: 'Tests before dismantling', options: 'How it will be done' }
const places: Record<string, string> = { odometerKm: 'odometer', complaint: 'complaint-text', pumpTest: 'strokes' }
const reasonAt = (field: string) => issues.value.find(issue => issue.field === field)?.reason ?? ''
/** Says what is wrong where it is wrong, and goes there. */
async function refuse(found: { field: string, reason: string }[]) {
  issues.value = found
  await nextTick()
  const place = document.getElementById(places[found[0]?.field ?? ''] ?? '')
  place?.scrollIntoView({ block: 'center' })
  place?.focus({ preventScroll: true })
}

function requestOf(value: typeof form.state.values) {
  return {
    id: jobId, vehicleId: value.vehicleId, packId: pack.value?.id ?? '', options: value.options,
    complaint: { symptoms: value.symptoms, text: value.text },
    pumpTest: { result: value.pumpResult, strokes: value.pumpResult === 'not-done' || value.strokes.trim() === '' ? null : numbers.plain(value.strokes) },
    ...(Object.keys(value.outcomes).length > 0 ? { findings: { tableId: value.causeTable, outcomes: value.outcomes } } : {}),
    ...(value.comebackOf ? { comebackOf: value.comebackOf } : {}),
    odometerKm: odometerKm(value.odometer), personId: garage.personId, deviceId: deviceId(), at: new Date().toISOString(), utcOffsetMinutes: utcOffsetMinutes(),
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
  const found = await $fetch<Pack>(`/api/packs/${id}`)
  if (chosenPackId.value !== id) return
  pack.value = found
  form.setFieldValue('options', Object.fromEntries(pack.value.options.map(option => [option.id, schoolOr(option)])))
}
/** Another layout; when it cannot be fetched, the page says so and offers to try again. */
function change(id: string) {
  choosePack(id).catch(() => { failed.value = true })
}
async function load() {
  failed.value = false
  try {
    [vehicles.value, packLines.value] = await Promise.all([$fetch<VehicleAnswer[]>('/api/vehicles'), $fetch<PackLine[]>('/api/packs').then(lines => lines.filter(line => !line.fault))])
    await choosePack(packLines.value[0]!.id)
  }
  catch {
    failed.value = true
  }
}
onMounted(load)

const { preview, differences } = usePlanPreview(() => pack.value && { pack: pack.value, options: values.value.options })
const toggleSymptom = (id: string) => {
  const chosen = values.value.symptoms
  form.setFieldValue('symptoms', chosen.includes(id) ? chosen.filter(other => other !== id) : [...chosen, id])
}
function added(vehicle: VehicleAnswer) {
  vehicles.value = [...vehicles.value, vehicle]
  form.setFieldValue('vehicleId', vehicle.id)
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
      <form v-else class="clear-both grid gap-9" novalidate @submit.prevent="form.handleSubmit()">
        <section>
          <h1 class="text-2xl">Which car</h1>
          <VehiclePicker class="mt-3" :vehicles="vehicles" :model-value="values.vehicleId" @update:model-value="id => form.setFieldValue('vehicleId', id)" @added="added" />
          <EarlierJobs v-if="values.vehicleId" :key="values.vehicleId" class="mt-4" :vehicle-id="values.vehicleId" :model-value="values.comebackOf" @update:model-value="id => form.setFieldValue('comebackOf', id)" />
          <div class="mt-4 max-w-xs">
            <NumberTyped id="odometer" :label="`Odometer, ${units.preference.value.distance}`" :unit="units.preference.value.distance" :problem="reasonAt('odometerKm')" :model-value="values.odometer" @update:model-value="text => form.setFieldValue('odometer', text)" @read="value => { odometer = value }" @doubt="unsure => { odometerDoubt = unsure }" />
          </div>
        </section>
        <ComplaintFields
          :symptoms="values.symptoms" :text="values.text" :result="values.pumpResult" :strokes="values.strokes" :problem="reasonAt('complaint')" :pump-problem="reasonAt('pumpTest')" @toggle="toggleSymptom"
          @text="text => form.setFieldValue('text', text)" @result="result => form.setFieldValue('pumpResult', result)" @strokes="strokes => form.setFieldValue('strokes', strokes)"
        />
        <CausesPanel
          :pack="pack"
          :symptoms="values.symptoms" :result="values.pumpResult" :table="values.causeTable" :outcomes="values.outcomes"
          @update:table="id => form.setFieldValue('causeTable', id)" @update:outcomes="outcomes => form.setFieldValue('outcomes', outcomes)"
        />
        <section v-if="packLines.length">
          <h2 class="text-2xl">How it will be done</h2>
          <ChoiceRow v-if="packLines.length > 1" class="mt-4" label="Layout" :model-value="chosenPackId" :choices="packLines.map(line => ({ id: line.id, label: t(line.title) }))" @update:model-value="id => change(id!)" />
          <p v-if="!pack" class="mt-4 text-quiet" role="status">Fetching its work</p>
          <template v-else>
            <p class="mt-3 text-quiet">{{ t(pack.about) }}</p>
            <OptionSentence
              v-for="option in pack.options" :key="option.id" class="mt-4" :option="option" :differences="differences" pending :model-value="values.options[option.id]!"
              @update:model-value="choice => form.setFieldValue('options', { ...values.options, [option.id]: choice })"
            />
          </template>
        </section>
        <div>
          <ul v-if="issues.length" class="mb-3 border-l-4 border-danger pl-4 text-lg" role="alert"><li v-for="issue in issues" :key="issue.reason"><template v-if="fieldNames[issue.field]">{{ fieldNames[issue.field] }}: </template>{{ issue.reason }}</li></ul>
          <p v-if="!values.vehicleId" class="mb-2 text-quiet">Choose the car first.</p>
          <button class="button button-main button-big w-full sm:w-auto" :disabled="submitting || !pack || !values.vehicleId">{{ submitting ? 'Planning' : 'Make the plan' }}</button>
        </div>
      </form>
      <template #margin><PreviewPanel :preview="preview" /></template>
    </SheetWithMargin>
  </div>
</template>
