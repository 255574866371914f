<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { wayNow } from '../../../core/job/chapters/bleeding/ways'
import { airSheet, bleedAir } from '../../../core/job/views/bleed-air'
import { minutesText } from '../../words/durations'

/** Air left in the line round by round, and how much longer it takes at that pace. */
const props = defineProps<{ stepId: string }>()
const { state, path } = useJob()
const sheet = computed(() => airSheet(state.value))
const air = computed(() => bleedAir(state.value, props.stepId))
const last = computed(() => air.value?.rounds.at(-1) ?? null)
const rest = computed(() => wayNow(state.value, props.stepId)?.restMinutes ?? 0)
const [W, H] = [300, 96]
const x = computed(() => scaleLinear([0, Math.max(1, (air.value?.rounds.length ?? 1) - 1)], [14, W - 14]))
const y = computed(() =>
  scaleLinear([0, Math.max(0.5, ...(air.value?.rounds.map(entry => entry.mostMl) ?? []))], [H - 8, 10]),
)
const forecast = computed(() => {
  const found = air.value?.forecast
  if (!found || air.value!.good) return ''
  if (found.rounds === null) return 'It does not fall: another way, or a leak, or a line that does not rise.'
  const span = found.most === null || found.most === found.fewest ? '' : ` (${found.fewest} to ${found.most})`
  return `At this pace ${found.rounds}${span} more ${found.rounds === 1 ? 'round' : 'rounds'}, about ${minutesText(found.rounds * rest.value)} of rest.`
})
</script>

<template>
  <section v-if="sheet" class="grid gap-2" aria-labelledby="air-title" data-testid="air-left">
    <h2 id="air-title" class="border-b border-ink pb-1 text-lg">Air left</h2>
    <template v-if="air && last">
      <p class="text-lg">
        <span class="figure text-xl font-bold">{{ last.leastMl.toFixed(1) }}</span> to
        <span class="figure">{{ last.mostMl.toFixed(1) }}</span> ml<template v-if="air.good"
          >: good enough for reverse.</template
        ><template v-else>; reverse wants {{ air.allowedMl.toFixed(1) }} ml at most.</template>
      </p>
      <svg
        v-if="air.rounds.length > 1"
        :viewBox="`0 0 ${W} ${H}`"
        role="img"
        :aria-label="`Air after each round: ${air.rounds.map(entry => entry.leastMl.toFixed(1)).join(', ')} ml; wanted ${air.allowedMl.toFixed(1)} ml`"
        class="w-full max-w-sm"
        fill="none"
      >
        <line
          x1="6"
          :x2="W - 6"
          :y1="y(air.allowedMl)"
          :y2="y(air.allowedMl)"
          stroke="var(--good)"
          stroke-width="2"
          stroke-dasharray="6 4"
        />
        <line x1="6" :x2="W - 6" :y1="H - 8" :y2="H - 8" stroke="var(--ink)" stroke-width="2" />
        <polyline
          :points="air.rounds.map((entry, index) => `${x(index)},${y(entry.leastMl)}`).join(' ')"
          stroke="var(--action)"
          stroke-width="3"
        />
        <g v-for="(entry, index) in air.rounds" :key="index">
          <line
            :x1="x(index)"
            :x2="x(index)"
            :y1="y(entry.leastMl)"
            :y2="y(entry.mostMl)"
            stroke="var(--action)"
            stroke-width="2"
          />
          <circle :cx="x(index)" :cy="y(entry.leastMl)" r="5" fill="var(--action)" />
        </g>
      </svg>
      <p v-if="forecast">{{ forecast }}</p>
      <p v-else-if="!air.good" class="text-quiet">
        Measure the lost travel of one more round, and Eldrin says how many are to come.
      </p>
    </template>
    <p v-else class="text-quiet">
      Measure the travel lost when the pedal is judged, and the air left is worked out here.
    </p>
    <NuxtLink
      no-prefetch
      class="inline-flex min-h-11 items-center font-semibold underline"
      :to="path(`pedal/${sheet.id}`)"
      >How it is worked out</NuxtLink
    >
  </section>
</template>
