<script setup lang="ts">
import {
  actualMinutes,
  changedParts,
  forbiddenNow,
  guardWords,
  hangingNow,
  jobEnds,
  minutesLeft,
  nextStep,
  partsDue,
  standCounts,
  waitOf,
} from '../../../core/job'
import { placeOf, bayOf } from '../../../core/packs'
import { minutesText, stopwatch } from '../../words/durations'
import { momentText } from '../../words/moments'
import { offWords } from '../../words/off-words'
import { utcOffsetMinutes } from '../../words/utc-offset'

/** The same line across the top of every view of a job; each part opens the view that explains it. */
const { state, path } = useJob()
const t = useTerms()
const now = useSeconds()
const counts = computed(() => standCounts(state.value))
const off = computed(() => offWords(counts.value))
const at = computed(() =>
  placeOf(state.value.procedure ?? {}, nextStep(state.value)?.planned.place ?? state.value.place),
)
const bay = computed(() => bayOf(state.value.procedure ?? {}))
/** What nobody may do now, in one tag. */
const forbidden = computed(() =>
  forbiddenNow(state.value)
    .map(({ guard }, index) => (index ? guardWords[guard].tag.toLowerCase() : guardWords[guard].tag))
    .join(', '),
)
/** What nothing holds: nobody goes under it. */
const hanging = computed(() => hangingNow(state.value).filter(({ byHand }) => !byHand))
const left = computed(() => minutesLeft(state.value))
const timer = computed(() => {
  const running = Object.keys(state.value.timers).find(stepId => state.value.timers[stepId]!.runningSince)
  return running ? stopwatch(actualMinutes(state.value, running, now.value)! * 60) : null
})
const ended = computed(() =>
  state.value.calledOff
    ? 'called off'
    : state.value.handedOver
      ? 'handed over'
      : left.value === 0
        ? 'all steps done'
        : null,
)
const ends = computed(() =>
  momentText(
    jobEnds(
      {
        ...partsDue(state.value),
        hours: state.value.circumstances.hours,
        waitsUntil: waitOf(state.value)?.until ?? null,
      },
      new Date(now.value),
      utcOffsetMinutes,
    ),
    new Date(now.value),
  ),
)
</script>

<template>
  <header class="no-print relative border-b-2 border-ink bg-sheet">
    <div class="mx-auto flex max-w-[90rem] flex-wrap items-center gap-x-3 gap-y-1 px-4 py-1.5 sm:gap-x-5 sm:px-7">
      <NuxtLink to="/" class="flex min-h-11 items-center font-bold underline" aria-label="Back to the yard"
        >Yard</NuxtLink
      >
      <p class="min-w-0 text-lg font-semibold leading-tight max-sm:max-w-[60%]">
        <span class="figure mr-2 text-quiet">{{ state.number || 'new' }}</span>{{ state.vehicle?.name }}
      </p>
      <div class="ml-auto sm:order-last"><SettingsMenu compact /></div>
      <NuxtLink :to="path('car')" class="flex items-center gap-2 no-underline" :aria-label="`The car: ${off}`">
        <BayGlyph :bay="bay" :car="state.car" :parts="changedParts(state)" class="h-11 w-16 shrink-0 sm:w-22" />
        <span class="underline max-sm:hidden">{{ off }}</span>
      </NuxtLink>
      <NuxtLink
        v-if="!ended"
        :to="path('work')"
        class="inline-flex min-h-11 items-center no-underline"
        :aria-label="`Next place: ${at.name}`"
        ><PlaceTag :at="at" class="max-sm:[&>span:last-child]:hidden"
      /></NuxtLink>
      <NuxtLink
        v-if="forbidden"
        :to="path(state.procedure?.control ? 'control' : 'pedal')"
        class="inline-flex min-h-11 items-center no-underline"
        ><span class="tag border-danger font-semibold text-danger">{{ forbidden }}</span></NuxtLink
      >
      <NuxtLink
        v-for="load in hanging"
        :key="load.loadId"
        :to="path('car')"
        class="inline-flex min-h-11 items-center no-underline"
        :title="t(load.hangs!)"
        data-testid="hangs"
        ><span class="tag border-danger font-semibold text-danger">{{ t(load.name) }} hangs</span></NuxtLink
      >
      <NuxtLink v-if="timer" :to="path('work')" class="figure tag no-underline">{{ timer }}</NuxtLink>
      <NuxtLink :to="path('plan')" class="min-h-11 content-center underline">
        <template v-if="ended">{{ ended }}</template>
        <template v-else
          ><span class="max-sm:hidden">{{ minutesText(left) }} left, about</span><span class="sm:hidden">until</span>
          {{ ends }}</template
        >
      </NuxtLink>
      <SentMark />
    </div>
  </header>
</template>
