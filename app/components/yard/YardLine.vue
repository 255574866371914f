<script setup lang="ts">
import { jobEnds } from '../../../core/job'
import type { JobSummary } from '../../../core/job'
import { bayOf, placeOf } from '../../../core/packs'
import { minutesText } from '../../words/durations'
import { momentText } from '../../words/moments'
import { utcOffsetMinutes } from '../../words/utc-offset'

const props = defineProps<{ job: JobSummary }>()
const t = useTerms()
const units = useUnits()
const now = useSeconds()
const view = computed(
  () =>
    ({ planned: 'plan', 'in-work': 'work', waiting: 'work', ready: 'prove', 'break-in': 'prove', closed: 'handover' })[
      props.job.status
    ],
)
const overdue = computed(() => props.job.waitsUntil !== null && props.job.waitsUntil < now.value)
const endsAt = computed(() => jobEnds(props.job, new Date(now.value), utcOffsetMinutes))
const ends = computed(() => momentText(endsAt.value, new Date(now.value)))
const latePart = computed(() => (props.job.dueParts ?? []).find(part => part.at < now.value))
const breaksPromise = computed(() =>
  props.job.promisedAt ? endsAt.value.getTime() > Date.parse(props.job.promisedAt) : false,
)
</script>

<template>
  <li class="border-t-2 border-ink">
    <NuxtLink
      :to="`/jobs/${job.jobId}/${view}`"
      class="grid grid-cols-[6.5rem_1fr] items-center gap-x-5 gap-y-2 py-4 no-underline hover:bg-tint max-sm:[&>*:nth-child(n+3)]:col-span-2 sm:gap-x-6 sm:grid-cols-[7.5rem_minmax(11rem,1fr)_minmax(0,2fr)_12rem]"
      data-testid="yard-line"
    >
      <BayGlyph :bay="bayOf(job)" :car="job.car" :parts="job.parts" class="w-full" />
      <span
        ><span class="block text-lg font-semibold"
          ><span class="figure mr-2 text-quiet">{{ job.number || 'new' }}</span
          >{{ job.vehicleName }}</span
        ><span class="text-quiet">{{ job.customer }}</span></span
      >
      <span class="min-w-0">
        <span v-if="job.status === 'waiting'" class="mb-1 block font-semibold text-attention">
          Waits for {{ t(job.waitsFor ?? '')
          }}<template v-if="job.waitsUntil"
            >, {{ overdue ? 'was due' : 'until' }} {{ momentText(job.waitsUntil, new Date(now)) }}</template
          >
        </span>
        <span v-else-if="job.nextWait && job.nextWait.until > now" class="mb-1 block font-semibold text-attention">
          {{ t(job.nextWait.because) }} Until {{ momentText(job.nextWait.until, new Date(now)) }}.
        </span>
        <span v-if="latePart && job.waitsFor !== latePart.name" class="mb-1 block font-semibold text-attention"
          >{{ t(latePart.name) }} has not come, was due {{ momentText(latePart.at, new Date(now)) }}</span
        >
        <span v-if="job.status === 'break-in'" class="text-lg"
          >Breaking in, <span class="figure font-semibold">{{ units.distance(job.breakInToGoKm ?? 0) }}</span> to
          go</span
        >
        <span v-else-if="job.status === 'ready'" class="text-lg font-semibold">Every step done. Hand it over.</span>
        <span v-else-if="job.next" class="flex items-start gap-3"
          ><PlaceTag :at="placeOf(job, job.next.place)" /><span class="text-lg leading-snug">{{
            t(job.next.title)
          }}</span></span
        >
      </span>
      <span v-if="job.status !== 'break-in'" class="sm:text-right">
        <span class="figure text-lg font-semibold">{{ minutesText(job.minutesLeft) }}</span> left
        <span class="block text-quiet">{{ job.hours ? 'done about' : 'working through:' }} {{ ends }}</span>
        <span
          v-if="job.promisedAt"
          class="block text-sm"
          :class="breaksPromise ? 'font-semibold text-attention' : 'text-quiet'"
          >promised {{ momentText(job.promisedAt, new Date(now)) }}</span
        >
        <MovedLast v-if="job.moved && job.minutesLeft > 0" class="block text-sm text-quiet" :move="job.moved" />
        <span class="block text-sm text-quiet"
          >{{ job.stepsDone }} of {{ job.stepsTotal }} steps<template v-if="job.offCount"
            >, {{ job.offCount }} off</template
          ></span
        >
      </span>
    </NuxtLink>
  </li>
</template>
