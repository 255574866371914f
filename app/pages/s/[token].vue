<script setup lang="ts">
import type { SharedAnswer } from '../../../contracts/answers'
import { render } from '../../../core/say/render'
import { issuesOf } from '../../words/reason-of'
import { dayText, weekdayText } from '../../words/dates'

/** What a customer sees of a job through the link: no account, nothing of anybody else. */
const token = String(useRoute().params.token)
const answer = shallowRef<SharedAnswer | null>(null)
const problem = ref('')
useHead({
  title: () => (answer.value ? `${answer.value.vehicle.name} · ${answer.value.garage.name}` : 'Your car'),
  meta: [{ name: 'robots', content: 'noindex' }],
})
async function load() {
  problem.value = ''
  try {
    answer.value = await $fetch<SharedAnswer>(`/shared/${token}`)
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
onMounted(load)
const t = (text: string) => render(text, answer.value!.reader)
const distance = (km: number) =>
  answer.value!.reader.units.distance === 'mi' ? `${Math.round(km / 1.609344)} mi` : `${Math.round(km)} km`
const day = (at: string) => `${weekdayText(new Date(at), 'long')} ${dayText(new Date(at), 'long')}`
</script>

<template>
  <main id="sheet" tabindex="-1" class="mx-auto max-w-2xl px-5 py-8 outline-none">
    <div v-if="problem" role="alert">
      <h1 class="text-2xl">This page is not there</h1>
      <p class="mt-3 text-lg">{{ problem }}</p>
      <button class="button mt-4" @click="load">Try again</button>
    </div>
    <p v-else-if="!answer" class="text-lg" role="status">Fetching your car</p>
    <template v-else>
      <p class="text-quiet">{{ answer.garage.name }}, {{ answer.garage.town }}</p>
      <h1 class="mt-1 border-b-4 border-ink pb-2 text-3xl">{{ answer.vehicle.name }}</h1>
      <p class="mt-4 text-xl" data-testid="stands">
        <template v-if="answer.calledOff">The work was called off.</template>
        <template v-else-if="answer.handedOverAt">Handed over on {{ day(answer.handedOverAt) }}.</template>
        <template v-else
          >{{ answer.stepsDone }} of {{ answer.stepsTotal }} pieces of work are done<template v-if="answer.promisedAt"
            >; promised for {{ day(answer.promisedAt) }}</template
          >.</template
        >
      </p>
      <section v-if="answer.cause" class="mt-6">
        <h2 class="border-b border-ink pb-1 text-lg">What it was</h2>
        <p class="mt-2">{{ t(answer.cause) }}.</p>
      </section>
      <section v-if="answer.breakIn" class="mt-6">
        <h2 class="border-b border-ink pb-1 text-lg">Until it has broken in</h2>
        <p class="mt-2 text-lg">
          <template v-if="answer.breakIn.report.done">It is broken in.</template
          ><template v-else
            ><span class="figure text-figure font-bold leading-none">{{ distance(answer.breakIn.report.toGoKm) }}</span>
            to go of {{ answer.breakIn.writtenAs }}</template
          >
        </p>
        <p v-if="answer.breakIn.report.endsAt" class="mt-1">
          As you drive, it is over about {{ day(answer.breakIn.report.endsAt) }}.
        </p>
        <BreakInChart
          v-if="answer.breakIn.readings.length > 1"
          class="mt-3"
          :rule="{
            distanceKm: answer.breakIn.distanceKm,
            startKm: answer.breakIn.readings[0]!.odometerKm,
            startAt: answer.breakIn.readings[0]!.at,
          }"
          :readings="answer.breakIn.readings.slice(1)"
          :report="answer.breakIn.report"
          :distance-unit="answer.reader.units.distance"
        />
        <ul class="mt-3 list-disc pl-5">
          <li>Gentle stop-and-go; town rather than the open road.</li>
          <li>No slipping on a hill, no hard launches, no heavy trailer.</li>
          <li>Come back at once for a soft pedal, a leak, a slip or a noise.</li>
        </ul>
        <p class="mt-2 text-quiet">Source: {{ answer.breakIn.source }}.</p>
      </section>
      <section v-if="answer.renewed.length" class="mt-6">
        <h2 class="border-b border-ink pb-1 text-lg">Renewed</h2>
        <ul class="ruled">
          <li v-for="part in answer.renewed" :key="part" class="py-1">{{ t(part) }}</li>
        </ul>
      </section>
      <p v-if="answer.left" class="mt-6">
        {{ answer.left === 1 ? 'One thing was' : `${answer.left} things were` }} left as found, as agreed. The garage
        tells you which.
      </p>
      <p v-if="answer.handedOverAt" class="mt-6">
        <a class="button" :href="`/shared/${token}/calendar`" download>Re-checks for your calendar</a>
      </p>
      <p class="mt-6 text-sm text-quiet">
        The vehicle maker’s instructions, the kit sheet and local rules go before anything written here.
      </p>
    </template>
  </main>
</template>
