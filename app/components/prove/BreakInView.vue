<script setup lang="ts">
import { breakIn } from '../../../core/job'
import { fetchKept, keepAnswer } from '../../device/fetch-kept'
import { newId } from '../../log/ids'
import { momentText } from '../../words/moments'
import { issuesOf } from '../../words/reason-of'

/** The break-in: its rule, how far it has come, when it will be over, and what the customer sees of it. */
const { store, state } = useJob()
const t = useTerms()
const units = useUnits()
const report = computed(() => state.value.breakIn && breakIn(state.value.breakIn, state.value.breakIn.readings))
const token = ref<string | null>(null)
const problem = ref('')
const copied = ref(false)
const link = computed(() => (token.value === null ? '' : `${window.location.origin}/s/${token.value}`))
useKeys({ Backspace: store.undo })

const errands = useErrandsStore()
const path = computed(() => `/api/jobs/${store.jobId}/share`)
const isWanted = computed(() => errands.ofJob(store.jobId).some(errand => errand.path === path.value))

async function telling(ask: () => Promise<string | null>) {
  problem.value = ''
  copied.value = false
  try {
    token.value = await ask()
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
const look = () =>
  telling(async () => (await fetchKept<{ link: { token: string } | null }>(path.value)).link?.token ?? null)
const make = () =>
  telling(async () => {
    const wanted = { id: newId(), jobId: store.jobId, what: 'Make the customer’s link', path: path.value, body: {} }
    const link = await errands.ask<{ token: string }>(wanted)
    if (link) await keepAnswer(path.value, { link })
    return link?.token ?? null
  })
const revoke = () =>
  telling(async () => {
    await $fetch(path.value, { method: 'DELETE' })
    await keepAnswer(path.value, { link: null })
    return null
  })
onMounted(look)
watch(isWanted, wanted => !wanted && look())
async function copy() {
  await navigator.clipboard?.writeText(link.value)
  copied.value = true
}
const day = (at: string) => momentText(at).replace(/ \d\d:\d\d$/, '')
</script>

<template>
  <SheetWithMargin margin-title="For the customer">
    <ProveHead />
    <h1 class="text-2xl">Break-in</h1>
    <template v-if="state.breakIn && report">
      <p class="mt-3 text-lg" data-testid="forecast">
        <template v-if="report.done">Broken in: {{ units.distance(report.drivenKm) }} driven.</template>
        <template v-else-if="report.endsAt"
          >By its pace of {{ units.distance(report.kmPerDay!) }} a day it is over about
          <span class="font-semibold">{{ day(report.endsAt) }}</span><template
            v-if="report.earliestAt && report.latestAt && report.earliestAt !== report.latestAt"
            >, {{ day(report.earliestAt) }} to {{ day(report.latestAt) }} by its quickest and slowest stretch</template
          >.</template
        >
        <template v-else-if="state.handedOver"
          >One reading of the odometer some days on, and Eldrin says when it will be over.</template
        >
        <template v-else>It begins with the hand-over.</template>
      </p>
      <p v-if="report.stopAndGo !== null" :class="report.stopAndGo < 0.5 ? 'border-l-4 border-attention pl-3' : ''">
        {{ Math.round(report.stopAndGo * 100) }} in 100 of what was told about was stop-and-go<template
          v-if="report.stopAndGo < 0.5"
          >: too much of it on the open road, the disc beds in by taking up</template
        >.
      </p>
      <p v-if="report.hard.length" class="border-l-4 border-danger pl-3">
        Used hard {{ report.hard.length === 1 ? 'once' : `${report.hard.length} times` }}: look at it before the
        distance is called driven.
      </p>
      <BreakInChart
        v-if="state.breakIn.readings.length"
        class="mt-3"
        :rule="state.breakIn"
        :readings="state.breakIn.readings"
        :report="report"
      />
    </template>
    <BreakInSheet class="mt-5" />
    <template #margin>
      <section class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg">For the customer</h2>
        <p>
          A page that needs no account: the car, what was renewed, the break-in. Who has the link sees it, until you
          revoke it.
        </p>
        <template v-if="token">
          <p>
            <a class="figure break-all underline" :href="link" data-testid="share-link">{{ link }}</a>
          </p>
          <p class="flex flex-wrap gap-2">
            <button class="button" @click="copy">{{ copied ? 'Copied' : 'Copy' }}</button><button
              class="button"
              @click="revoke"
            >
              Revoke it
            </button>
          </p>
        </template>
        <p v-else-if="isWanted" class="font-semibold text-attention">The link is made as soon as there is signal.</p>
        <button v-else class="button justify-self-start" @click="make">Make a link</button>
        <p class="text-danger" role="alert">{{ t(problem) }}</p>
        <a class="button" :href="`/api/jobs/${store.jobId}/calendar`" download>Re-checks for a calendar</a>
        <p class="text-sm text-quiet">
          {{ t('{Lug:many}') }} after three days, leaks after seven, free play after twenty-one, and the end of the
          break-in by its pace. Common practice; the maker’s book goes before it.
        </p>
      </section>
    </template>
  </SheetWithMargin>
</template>
