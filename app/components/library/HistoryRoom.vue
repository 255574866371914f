<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import type { FoundLine, ImportedJob, VehicleAnswer } from '../../../contracts/answers'
import type { JobSummary } from '../../../core/job'
import { issuesOf } from '../../words/reason-of'

/** Looking jobs up by their words, cars with their jobs and figures, jobs taken in from files. */
const t = useTerms()
const text = ref('')
const asked = refDebounced(text, 200)
const found = shallowRef<FoundLine[] | null>(null)
const closed = shallowRef<JobSummary[]>([])
const vehicles = shallowRef<VehicleAnswer[]>([])
const problem = ref('')
const took = ref('')
const refused = ref<string[]>([])
const more = ref(true)
const shownCars = computed(() => {
  const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean)
  return vehicles.value
    .filter(car =>
      words.every(word =>
        `${car.name} ${car.make} ${car.model} ${car.year} ${car.customer}`.toLowerCase().includes(word),
      ),
    )
    .slice(0, 40)
})
async function trying<T>(ask: () => Promise<T>): Promise<T | null> {
  problem.value = ''
  try {
    return await ask()
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
    return null
  }
}
async function loadClosed() {
  const lines = await trying(() =>
    $fetch<JobSummary[]>('/api/history', { query: closed.value.length ? { before: closed.value.at(-1)!.number } : {} }),
  )
  if (!lines) return
  closed.value = [...closed.value, ...lines]
  more.value = lines.length === 30
}
onMounted(async () => {
  vehicles.value = (await trying(() => $fetch<VehicleAnswer[]>('/api/vehicles'))) ?? []
  await loadClosed()
})
let asks = 0
watch(asked, async words => {
  const ask = ++asks
  const lines =
    words.trim() === ''
      ? null
      : await trying(() => $fetch<FoundLine[]>('/api/search', { query: { q: words.slice(0, 200) } }))
  if (ask === asks) found.value = lines
})
async function takeIn(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  took.value = ''
  refused.value = []
  if (!file) return
  try {
    const body: unknown = JSON.parse(await file.text())
    const { number, added } = await $fetch<ImportedJob>('/api/imports', {
      method: 'POST',
      body: body as Record<string, unknown>,
    })
    took.value =
      added === 0
        ? 'It was here already, nothing has changed.'
        : `Job ${number} is here now, with ${added} entries of its log.`
    closed.value = []
    await loadClosed()
    vehicles.value = await $fetch<VehicleAnswer[]>('/api/vehicles')
  } catch (error) {
    refused.value =
      error instanceof SyntaxError
        ? ['This is not a JSON file.']
        : issuesOf(error)
            .slice(0, 5)
            .map(issue => (issue.path ? `${issue.path}: ${issue.reason}` : issue.reason))
  } finally {
    input.value = ''
  }
}
</script>

<template>
  <div class="grid gap-10">
    <section aria-labelledby="look-title">
      <h2 id="look-title" class="text-xl">Look a job up</h2>
      <div class="mt-3 max-w-xl">
        <Field v-slot="{ control }" id="look" label="Look for"
          ><input
            v-bind="control"
            v-model="text"
            class="mt-1"
            type="search"
            autocomplete="off"
            placeholder="a car, a customer, a note, a book"
            maxlength="200"
        /></Field>
      </div>
      <p v-if="problem" class="mt-2 text-danger" role="alert">{{ t(problem) }}</p>
      <div v-if="found" class="mt-3" aria-live="polite" data-testid="found">
        <p v-if="found.length === 0" class="text-lg">No job holds all of these words.</p>
        <JobLines :jobs="found" />
      </div>
    </section>
    <section aria-labelledby="cars-title">
      <h2 id="cars-title" class="text-xl">
        Cars <span class="figure text-quiet">{{ vehicles.length }}</span>
      </h2>
      <p v-if="vehicles.length === 0" class="mt-2 text-quiet">No car is known yet. The first comes in with its job.</p>
      <ul class="ruled mt-2">
        <li v-for="car in shownCars" :key="car.id" class="py-2">
          <NuxtLink class="flex min-h-11 flex-wrap items-baseline gap-x-4" :to="`/library/cars/${car.id}`"
            ><span class="font-semibold underline">{{ car.name }}</span
            ><span class="text-quiet"
              >{{ car.make }} {{ car.model }}, {{ car.year }}; {{ car.customer }}</span
            ></NuxtLink
          >
        </li>
      </ul>
    </section>
    <section aria-labelledby="closed-title">
      <h2 id="closed-title" class="text-xl">Closed jobs</h2>
      <p v-if="closed.length === 0" class="mt-2 text-quiet">None yet.</p>
      <JobLines class="mt-2" :jobs="closed.map(summary => ({ summary }))" />
      <button v-if="closed.length && more" class="button mt-3" @click="loadClosed">Earlier ones</button>
    </section>
    <section aria-labelledby="take-title">
      <h2 id="take-title" class="text-xl">Take a job in from a file</h2>
      <p class="mt-2">
        A job file of another Eldrin, written under Prove, Papers. It is taken whole or not at all; a second time
        changes nothing.
      </p>
      <div class="mt-2 max-w-xl">
        <Field v-slot="{ control }" id="job-file" label="A job file"
          ><input v-bind="control" class="mt-1" type="file" accept="application/json,.json" @change="takeIn"
        /></Field>
      </div>
      <p class="mt-2" role="status">{{ took }}</p>
      <ul v-if="refused.length" class="border-l-4 border-danger pl-3" role="alert">
        <li class="label">Nothing was taken in.</li>
        <li v-for="line in refused" :key="line">{{ line }}</li>
      </ul>
    </section>
  </div>
</template>
