<script setup lang="ts">
import { FetchError } from 'ofetch'
import { areJudgesHere, fetchJudges } from '../../device/judges'
import type { JobState } from '../../../core/job'
import { issuesOf } from '../../words/reason-of'

definePageMeta({ key: route => String(route.params.id) })

const route = useRoute()
const store = useJobStore()
const failed = ref(false)
const ready = ref(false)
const garage = useGarageStore()
const bare = computed(
  () => route.path.endsWith('/handover') || route.path.includes('/papers/') || route.path.endsWith('/pedal/helper'),
)

/** Who does not run the job reads it; what they may do has views of its own, and in the others nothing can be pressed. */
const HELPED = /\/(?:work|pedal(?:\/.*)?)$/
const CHARGED = /\/(?:prove\/(?:money|papers)|papers\/[^/]+)$/
const readsOnly = computed(() => {
  if (garage.can('work')) return false
  return !(garage.can('help') && HELPED.test(route.path)) && !(garage.can('charge') && CHARGED.test(route.path))
})

/** The line is quiet by then. */
const AFTER_FIRST_MS = 3000
/** Work does without the computations of the bench; they are fetched once it stands. Every other view waits for them. */
const doesWithout = computed(() => route.path.endsWith('/work'))
const judged = computed(() => doesWithout.value || areJudgesHere())

/** Whether a step is held by a sheet that something stands on already. */
const asksSheets = ({ procedure, sheets }: JobState) =>
  procedure?.operations.some(({ activity }) => activity?.kind === 'judged' && sheets[activity.sheet]) ?? false

async function load() {
  failed.value = false
  try {
    if (!doesWithout.value) void fetchJudges().catch(fetchedNot)
    await store.open(String(route.params.id))
    // A step that a sheet has to say yes to is judged in Work as well.
    if (doesWithout.value && asksSheets(store.state)) await fetchJudges()
    ready.value = true
    if (doesWithout.value) setTimeout(() => fetchJudges().catch(() => {}), AFTER_FIRST_MS)
  } catch (error) {
    if (error instanceof FetchError && error.statusCode && error.statusCode < 500) {
      showError({
        statusCode: 404,
        statusMessage: 'No such job',
        message: `There is no job here. ${issuesOf(error)[0]!.reason}`,
        fatal: true,
      })
      return
    }
    failed.value = true
  }
}
function fetchedNot() {
  failed.value = true
  ready.value = false
}
watch(doesWithout, without => {
  if (!without) fetchJudges().catch(fetchedNot)
})
void load()
onUnmounted(() => store.close())
useHead({ title: () => (ready.value ? `${store.state.vehicle?.name ?? 'Job'} · Eldrin` : 'Eldrin') })
</script>

<template>
  <div class="max-sm:pb-14 print:pb-0">
    <template v-if="ready && garage.garage">
      <PrintHead v-if="!bare" />
      <JobStrip v-if="!bare" />
      <JobNav v-if="!bare" />
      <LazyOpeningRefused v-if="store.opening?.refusal" />
      <LazyLogParted v-if="store.beyond.isMissing || store.beyond.events.length" />
      <template v-if="judged">
        <fieldset v-if="readsOnly" disabled class="contents">
          <p class="px-4 pt-3 text-quiet sm:px-6 print:hidden" data-testid="reads-only">
            You read here. Whoever runs the job changes it.
          </p>
          <NuxtPage />
        </fieldset>
        <NuxtPage v-else />
      </template>
      <LazyRestBell />
    </template>
    <main v-else id="sheet" class="mx-auto max-w-2xl p-8">
      <div v-if="failed" role="alert">
        <h1 class="text-2xl">The job could not be fetched</h1>
        <p class="mt-3">The server did not answer. What is in the log is safe there.</p>
        <button class="button button-main mt-6" @click="load">Try again</button>
      </div>
      <p v-else class="text-lg" role="status">Fetching the log of this job</p>
    </main>
  </div>
</template>
