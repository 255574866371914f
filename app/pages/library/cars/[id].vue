<script setup lang="ts">
import type { VehicleHistory } from '../../../../contracts/answers'
import { issuesOf } from '../../../words/reason-of'

/** A car: its jobs, the figures of its book, and those of the same model that may be taken over. */
const t = useTerms()
const id = String(useRoute().params.id)
const garage = useGarageStore()
const history = shallowRef<VehicleHistory | null>(null)
const problem = ref('')
const units = useUnits()
useHead({ title: () => `${history.value?.vehicle.name ?? 'Car'} · Eldrin` })
async function load() {
  problem.value = ''
  try {
    history.value = await $fetch<VehicleHistory>(`/api/vehicles/${id}`)
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
onMounted(load)
async function take(from: string, group: string) {
  try {
    await $fetch(`/api/vehicles/${id}/figures`, { method: 'POST', body: { from, group, personId: garage.personId } })
    await load()
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
const erasing = ref(false)
const said = ref('')
async function erase() {
  problem.value = said.value = ''
  erasing.value = false
  try {
    const { jobs } = await $fetch<{ jobs: number }>(`/api/vehicles/${id}/customer`, { method: 'DELETE' })
    said.value = `The name has left the records of ${jobs === 1 ? 'one job' : `${jobs} jobs`}.`
    await Promise.all([load(), garage.load()])
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
const named = (group: string) => group.replaceAll('-', ' ').replace(/^./, first => first.toUpperCase())
const shown = (nm: number) => {
  const { main, other } = units.torque(nm)
  return `${main.text} ${main.unit} (${other.text} ${other.unit})`
}
</script>

<template>
  <div>
    <LibraryHead title="Library"><NuxtLink class="button" to="/library/cars">All cars</NuxtLink></LibraryHead>
    <main id="sheet" tabindex="-1" class="mx-auto max-w-5xl px-4 py-5 outline-none sm:px-7">
      <div v-if="problem && !history" role="alert">
        <h1 class="text-2xl">This car could not be fetched</h1>
        <p class="mt-3">{{ t(problem) }}</p>
        <button class="button mt-4" @click="load">Try again</button>
      </div>
      <p v-else-if="!history || !garage.garage" role="status">Fetching the car</p>
      <template v-else>
        <h1 class="text-2xl">{{ history.vehicle.name }}</h1>
        <p class="text-lg text-quiet">
          {{ history.vehicle.make }} {{ history.vehicle.model }}, {{ history.vehicle.year }};
          {{ history.vehicle.customer }}; gears {{ history.vehicle.gears.join(' ') }}
        </p>
        <p class="mt-2 text-danger" role="alert">{{ t(problem) }}</p>
        <section class="mt-6">
          <h2 class="text-xl">Jobs</h2>
          <p v-if="history.jobs.length === 0" class="mt-2 text-quiet">None yet.</p>
          <JobLines class="mt-2" :jobs="history.jobs.map(summary => ({ summary }))" />
        </section>
        <section class="mt-8">
          <h2 class="text-xl">Figures of its book</h2>
          <p v-if="history.figures.length === 0" class="mt-2 text-quiet">
            None yet. A figure named in a job from the vehicle book is kept here for the next one.
          </p>
          <ul class="ruled mt-2">
            <li
              v-for="figure in history.figures"
              :key="figure.group"
              class="flex flex-wrap justify-between gap-x-4 py-2"
            >
              <span class="font-semibold">{{ named(figure.group) }}</span><span class="figure">{{
                shown(figure.torqueNm)
              }}</span
              ><span class="w-full text-quiet">{{ figure.reference }}</span>
            </li>
          </ul>
        </section>
        <section v-if="history.alike.length" class="mt-8">
          <h2 class="text-xl">On other cars of this model</h2>
          <p class="mt-1">
            The same model, perhaps another year or engine: look at the book before it is taken over. Its source comes
            along.
          </p>
          <ul class="ruled mt-2">
            <li
              v-for="entry in history.alike"
              :key="entry.vehicleId + entry.figure.group"
              class="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 py-2"
            >
              <span
                ><span class="font-semibold">{{ named(entry.figure.group) }}</span>
                <span class="figure">{{ shown(entry.figure.torqueNm) }}</span><span class="block text-quiet"
                  >{{ entry.figure.reference }}; {{ entry.vehicleName }}, {{ entry.year }}</span
                ></span
              ><button class="button" @click="take(entry.vehicleId, entry.figure.group)">Take it over</button>
            </li>
          </ul>
        </section>
        <section v-if="garage.can('settle') && history.vehicle.customer" class="mt-8" aria-labelledby="customer-title">
          <h2 id="customer-title" class="text-xl">The customer</h2>
          <p class="mt-1">
            A customer may ask what is kept of them, and may want to be forgotten. What was done to the car stays; name
            and contact go, here, in every job of this car, and on the garage’s devices when they next have signal.
          </p>
          <p role="status" class="mt-1">{{ said }}</p>
          <p class="mt-3 flex flex-wrap gap-3">
            <a class="button" :href="`/api/vehicles/${id}/customer`" download>All that is kept of them</a>
            <button class="button" @click="erasing = true">Forget them</button>
          </p>
        </section>
        <BaseDialog :open="erasing" title="Forget this customer" @close="erasing = false">
          <p>
            “{{ history.vehicle.customer }}” leaves every job of this car, its papers and its notes. There is no way
            back; what stands in a backup goes when that is thrown away.
          </p>
          <button class="button button-main mt-4" @click="erase">Take the name out</button>
        </BaseDialog>
      </template>
    </main>
  </div>
</template>
