<script setup lang="ts">
import { breakIn } from '../../../core/job'
import { newId } from '../../log/ids'
import { momentText } from '../../words/moments'

/** The break-in: its rule, how far it has come, when it will be over, and what the customer sees of it. */
const { store, state } = useJob()
const t = useTerms()
const units = useUnits()
const control = computed(() => state.value.procedure?.control ?? null)
const report = computed(() => state.value.breakIn && breakIn(state.value.breakIn, state.value.breakIn.readings))
const days = ref<'30' | '90' | '365'>('90')
const copied = ref(false)
useKeys({ Backspace: store.undo })

const errands = useErrandsStore()
const path: string = `/api/jobs/${store.jobId}/share`
const isWanted = computed(() => errands.ofJob(store.jobId).some(errand => errand.path === path))
const { links, own, isMaking, problem, look, make, endAll } = useCustomerLink(
  path,
  body => errands.ask({ id: newId(), jobId: store.jobId, what: 'Make the customer’s link', path, body }),
  () => isWanted.value,
  async () => {
    await $fetch(path, { method: 'DELETE' })
  },
)
const link = computed(() =>
  own.value === null ? '' : `${links.value?.origin ?? window.location.origin}/s/${own.value}`,
)
watch(own, () => (copied.value = false))
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
    <h1 class="text-2xl">{{ control ? 'The first drives' : 'Break-in' }}</h1>
    <ul v-if="control" class="ruled mt-3 text-lg">
      <li v-for="line in control.gentle" :key="line" class="py-2">{{ t(line) }}</li>
    </ul>
    <template v-else-if="state.breakIn && report">
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
    <BreakInSheet v-if="!control" class="mt-5" />
    <template #margin>
      <section class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg">For the customer</h2>
        <p>
          A page that needs no account: the car, what was renewed, the first drives. Who has the link sees it, until it
          ends.
        </p>
        <p v-if="isMaking" role="status">Making the link</p>
        <template v-else-if="own">
          <p>
            <a class="figure break-all underline" :href="link" data-testid="share-link">{{ link }}</a>
          </p>
          <p v-if="isWanted" class="font-semibold text-attention">It leads there as soon as there is signal.</p>
          <button class="button justify-self-start" @click="copy">{{ copied ? 'Copied' : 'Copy' }}</button>
        </template>
        <ul v-if="links?.links.length" class="ruled" aria-label="Links that are out">
          <li v-for="each in links.links" :key="each.id" class="py-1">
            Made {{ momentText(each.createdAt) }}, holds until {{ day(each.expiresAt) }}
          </li>
        </ul>
        <ChoiceRow
          v-model="days"
          label="A new link holds"
          :choices="[
            { id: '30', label: '30 days' },
            { id: '90', label: '90 days' },
            { id: '365', label: 'a year' },
          ]"
        />
        <p class="flex flex-wrap gap-2">
          <button class="button" :disabled="isMaking" @click="make(Number(days))">
            {{ links?.links.length || (own && !isMaking) ? 'Make another' : 'Make a link' }}
          </button>
          <button v-if="links?.links.length" class="button" @click="endAll">
            {{ links.links.length === 1 ? 'End it' : 'End all' }}
          </button>
        </p>
        <p class="text-danger" role="alert">{{ t(problem) }}</p>
        <a class="button" :href="`/api/jobs/${store.jobId}/calendar`" download>Re-checks for a calendar</a>
        <p class="text-sm text-quiet">
          {{ t('{Lug:many}') }} after three days, leaks after seven,
          {{ control ? t(control.recheck.title).toLowerCase() : 'free play' }} after twenty-one<template v-if="!control"
            >, and the end of the break-in by its pace</template
          >. Common practice; the maker’s book goes before it.
        </p>
      </section>
    </template>
  </SheetWithMargin>
</template>
