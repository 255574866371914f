<script setup lang="ts">
import { format } from 'date-fns'
import { boltName } from '../../../../core/fasteners'
import { closing, groupStands, openBeforeHandover, pumpVerdict } from '../../../../core/job'
import { standWords } from '../../../lib/bolt-words'
import { sourceLabel } from '../../../lib/sources'
import { symptomLabel } from '../../../lib/symptoms'
import { boltVerdicts } from '../../../lib/verdicts'

/** The page the customer takes along: what was done, with which figures, what was measured, what was left. */
const { state, path } = useJob()
const t = useTerms()
const units = useUnits()
const garage = useGarageStore()
const operations = computed(() => state.value.procedure?.operations ?? [])
const titleOf = (stepId: string) => t(operations.value.find(operation => operation.id === stepId)?.title ?? stepId)
const tightened = (group: string) => state.value.runs.findLast(run => run.group === group && run.dropped === null && !run.loosens) ?? null
const broken = computed(() => Object.values(state.value.boards).flatMap(board => board.bolts.filter(bolt => bolt.condition === 'sheared' || bolt.condition === 'stripped' || bolt.suspect).map(bolt => `${t(state.value.procedure!.groups.find(group => group.id === board.group)!.name)}, ${boltName(board, bolt)}: ${bolt.suspect ? 'had the load of one that broke' : bolt.condition}`)))
const figures = computed(() => groupStands(state.value).flatMap(({ group, counts, figure, excused }) => {
  const run = tightened(group.id)
  const stand = standWords(counts)
  return stand || run || figure || excused ? [{ group, stand, run, excused, figure: run?.figure ?? figure }] : []
}))
const checks = computed(() => closing(state.value))
const closingWords = { done: 'done', left: 'left as it is', open: 'open', bad: 'not good' }
const readings = computed(() => {
  const latest = new Map(state.value.readings.map(reading => [`${reading.stepId} ${reading.readingId}`, reading]))
  return [...latest.values()].map(reading => ({
    ...reading, name: operations.value.find(operation => operation.id === reading.stepId)?.readings.find(spec => spec.id === reading.readingId)?.name ?? reading.readingId,
  }))
})
const left = computed(() => openBeforeHandover(state.value))
const works = computed(() => operations.value.filter(operation => state.value.done[operation.id]).length)
const gears = computed(() => Object.entries(state.value.gears).map(([stepId, results]) => ({ title: titleOf(stepId), text: Object.entries(results).map(([gear, result]) => `${gear} ${result}`).join(', ') })))
const odometerKm = computed(() => state.value.handedOver?.odometerKm ?? state.value.odometerKm)
const personName = (id: string) => garage.garage?.people.find(person => person.id === id)?.name ?? 'somebody of the garage'
const printPage = () => window.print()
</script>

<template>
  <main id="sheet" class="mx-auto max-w-3xl px-5 py-6 print:max-w-none print:p-0">
    <div class="no-print mb-6 flex gap-3">
      <NuxtLink :to="path('prove')" class="button">Back</NuxtLink>
      <button class="button button-main" @click="printPage">Print</button>
    </div>
    <header class="flex flex-wrap items-baseline justify-between gap-x-6 border-b-4 border-ink pb-2">
      <div><p class="text-xl font-bold">{{ garage.garage?.name }}</p><p class="text-quiet">{{ garage.garage?.town }}</p></div>
      <p class="figure text-right">Job {{ state.number }}<span v-if="state.numberThere" class="block text-sm text-quiet">{{ state.numberThere }} where it was begun</span></p>
    </header>
    <h1 class="mt-5 text-2xl">{{ state.calledOff ? 'Called off' : state.handedOver ? 'Hand-over' : 'Hand-over, not yet signed' }}</h1>
    <dl class="mt-3 grid grid-cols-[10rem_1fr] gap-y-1">
      <dt class="text-quiet">Car</dt><dd>{{ state.vehicle?.name }}, {{ state.vehicle?.make }} {{ state.vehicle?.model }}, {{ state.vehicle?.year }}</dd>
      <dt class="text-quiet">Customer</dt><dd>{{ state.vehicle?.customer }}</dd>
      <dt class="text-quiet">Complaint</dt><dd>{{ [...state.complaint.symptoms.map(symptomLabel), state.complaint.text].filter(Boolean).join('. ') }}</dd>
      <dt class="text-quiet">Pumped pedal</dt><dd>{{ pumpVerdict(state.pumpTest.result, state.pumpTest.strokes).text }}</dd>
      <dt class="text-quiet">Odometer</dt><dd class="figure">{{ odometerKm === null ? 'not read' : units.distance(odometerKm) }}</dd>
      <template v-if="state.calledOff"><dt class="text-quiet">Why</dt><dd>{{ state.calledOff.reason }}</dd></template>
      <template v-if="state.handedOver"><dt class="text-quiet">Handed over</dt><dd>{{ format(new Date(state.handedOver.at), 'd MMMM yyyy HH:mm') }}, to {{ state.handedOver.to }}</dd></template>
    </dl>

    <section class="mt-6 break-inside-avoid">
      <h2 class="border-b-2 border-ink pb-1 text-lg">Work</h2>
      <p class="mt-1">{{ t(state.procedure?.title ?? '') }}: <span class="figure">{{ works }}</span> of <span class="figure">{{ operations.length }}</span> pieces of work done.</p>
      <p v-for="gear in gears" :key="gear.title" class="mt-1">{{ gear.title }}: {{ gear.text }}.</p>
    </section>

    <section class="mt-6">
      <h2 class="border-b-2 border-ink pb-1 text-lg">Torque figures and their sources</h2>
      <table class="w-full text-left">
        <thead class="text-sm"><tr><th class="label py-1 pr-4">Fasteners</th><th class="label py-1 pr-4">How they stand</th><th class="label py-1 pr-4">Figure</th><th class="label py-1">Source</th></tr></thead>
        <tbody class="ruled">
          <tr v-for="{ group, figure, run, stand, excused } in figures" :key="group.id" class="align-top">
            <td class="py-1 pr-4">{{ t(group.name) }}<span v-if="run" class="block text-sm text-quiet">in passes, every bolt logged<template v-if="run.wrench">, {{ run.wrench.name }}</template><template v-for="stop in run.stops" :key="stop.at">; bolt {{ stop.bolt + 1 }} was stopped: {{ boltVerdicts[stop.verdict].name.toLowerCase() }}, {{ stop.cleared ?? 'open' }}</template></span></td>
            <td class="py-1 pr-4">{{ stand }}</td>
            <td class="py-1 pr-4 whitespace-nowrap"><TorqueFigure v-if="figure" :torque-nm="figure.torqueNm" /><span v-else>none named</span></td>
            <td class="py-1"><strong v-if="figure?.sourceKind === 'computed'">No specification was found. </strong>{{ figure ? `${sourceLabel(figure.sourceKind)}: ${figure.reference}` : excused ? `${personName(excused.personId)} answers for it: ${excused.reason}` : 'No figure on record' }}<template v-if="figure?.borrowed">. Taken from another group: {{ figure.borrowed.because }}</template></td>
          </tr>
        </tbody>
      </table>
    </section>

    <section class="mt-6 break-inside-avoid">
      <h2 class="border-b-2 border-ink pb-1 text-lg">Measured and found</h2>
      <p v-if="readings.length === 0" class="mt-1">Nothing was measured.</p>
      <ul class="ruled columns-1 sm:columns-2 print:columns-2">
        <li v-for="reading in readings" :key="reading.stepId + reading.readingId" class="flex break-inside-avoid justify-between gap-3 py-1">
          <span>{{ t(reading.name) }}</span><span class="figure text-right">{{ typeof reading.value === 'number' ? units.reading(reading.value, reading.unit ?? '') : reading.value }}</span>
        </li>
      </ul>
    </section>

    <section v-if="checks.length" class="mt-6">
      <h2 class="border-b-2 border-ink pb-1 text-lg">Before it left</h2>
      <ul class="ruled">
        <li v-for="check in checks" :key="check.id" class="break-inside-avoid py-1">
          <span class="flex justify-between gap-3"><span>{{ t(check.title) }}</span><strong class="shrink-0">{{ check.made?.good ? t(check.good!) : closingWords[check.status] }}</strong></span>
          <span v-if="check.made?.note" class="block text-sm">{{ check.made.note }}</span>
          <span v-for="missing in check.missing" :key="missing.title" class="block text-sm">{{ t(missing.title) }}</span>
        </li>
      </ul>
    </section>

    <section class="mt-6 break-inside-avoid">
      <h2 class="border-b-2 border-ink pb-1 text-lg">Left as it is</h2>
      <p v-if="left.length === 0" class="mt-1">Nothing. All that was taken off is back on.</p>
      <ul v-if="broken.length" class="ruled"><li v-for="line in broken" :key="line" class="py-1">{{ line }}</li></ul>
      <ul class="ruled"><li v-for="entry in left" :key="entry.entry" class="py-1">{{ t(entry.name) }}<template v-if="entry.count > 1"> × {{ entry.count }}</template>: {{ entry.left ? `${entry.left.reason} (${personName(entry.left.personId)})` : 'no reason given yet' }}</li></ul>
    </section>

    <section class="mt-6 break-inside-avoid">
      <h2 class="border-b-2 border-ink pb-1 text-lg">Until it has broken in</h2>
      <p v-if="state.breakIn" class="mt-1">Gentle stop-and-go use for <span class="figure font-bold">{{ state.breakIn.writtenAs }}</span> from <span class="figure">{{ units.distance(state.breakIn.startKm) }}</span> on the odometer. No slipping, no hard launches. Source: {{ state.breakIn.source }}.</p>
      <p v-else class="mt-1">No distance is set. Ask before you drive it hard.</p>
      <p class="mt-1">Have the wheels checked after the first drives. Come back at once for a soft pedal, a leak, a slip or a noise.</p>
    </section>
    <p class="mt-6 text-sm text-quiet">The vehicle maker’s instructions, the kit sheet, local codes and licensed practice go before anything written here.</p>
  </main>
</template>
