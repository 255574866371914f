<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { calibration, ownPace } from '../../../core/sequence'
import type { Calibration, JobWorked, Pace } from '../../../core/sequence'
import { minutesText } from '../../words/durations'
import { issuesOf } from '../../words/reason-of'

/** How long our jobs take beside what was estimated, and whether what was foretold of them came true. */
const WANTED = 20
const BINS = 10
const WIDTH = 420
const HEIGHT = 150

const pace = shallowRef<Pace | null>(null)
const held = shallowRef<Calibration | null>(null)
const problem = ref('')
const worker = usePlannerWorker()

async function load() {
  problem.value = ''
  try {
    const jobs = await $fetch<JobWorked[]>('/api/pace')
    pace.value = ownPace(jobs)
    if (pace.value.n === 0) return
    const pairs = await worker.ask(planner => planner.foretold(posted(jobs)))
    held.value = pairs.length > 0 ? calibration(pairs) : null
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
onMounted(load)

const percent = (share: number) => Math.round(share * 100)
const enough = computed(() => (pace.value?.n ?? 0) >= WANTED)
const told = computed(() => {
  if (!pace.value) return ''
  const { mean, sigma, n } = pace.value
  const off = percent(Math.exp(mean) - 1)
  const beside =
    off === 0
      ? 'as long as they are estimated'
      : `${Math.abs(off)} in 100 ${off > 0 ? 'longer' : 'less'} than they are estimated`
  return `Our jobs take ${beside}; two in three lie between ${percent(Math.exp(mean - sigma))} and ${percent(Math.exp(mean + sigma))} in 100 of it. That is known from ${n} ${n === 1 ? 'job' : 'jobs'}.`
})

const SHARES = [50, 80, 95] as const
/** A share of n jobs is off by so much for no other reason than that they are few, nineteen times in twenty. */
const chanceOf = (share: number, n: number) => 1.96 * Math.sqrt(((share / 100) * (1 - share / 100)) / n)
const rows = computed(() =>
  SHARES.map(share => {
    const came = held.value!.coverage[share]
    const off = came - share / 100
    const says = !enough.value
      ? 'too few jobs to tell'
      : Math.abs(off) <= chanceOf(share, held.value!.pit.length)
        ? 'came true'
        : off < 0
          ? 'was told too surely: promise later'
          : 'was told too carefully: it goes quicker'
    return { share, came: percent(came), says }
  }),
)

/** How many jobs fell into each tenth of what was foretold of them. */
const bars = computed(() => {
  const counts = Array.from(
    { length: BINS },
    (_, bin) => held.value!.pit.filter(share => Math.min(BINS - 1, Math.floor(share * BINS)) === bin).length,
  )
  const even = held.value!.pit.length / BINS
  const y = scaleLinear([0, Math.max(...counts, even * 1.5)], [HEIGHT - 30, 8])
  const x = scaleLinear([0, BINS], [0, WIDTH])
  return {
    even: y(even),
    list: counts.map((count, bin) => ({
      count,
      x: x(bin) + 2,
      width: WIDTH / BINS - 4,
      y: y(count),
      height: y(0) - y(count),
    })),
    floor: y(0),
  }
})
const described = computed(
  () =>
    `Of ${held.value!.pit.length} jobs, by tenths of what was foretold, quickest first: ${bars.value.list.map(bar => bar.count).join(', ')}.`,
)
</script>

<template>
  <section aria-labelledby="pace-title" data-testid="own-pace">
    <h2 id="pace-title" class="text-xl">How what we foretold came true</h2>
    <p v-if="problem" class="mt-2 text-danger" role="alert">
      {{ problem }} <button class="underline" @click="load">Try again</button>
    </p>
    <p v-else-if="!pace" class="mt-2" role="status">Looking back on our jobs</p>
    <p v-else-if="pace.n === 0" class="mt-3 text-lg">
      Nothing yet: hand a job over first. Until then the odds of a finish rest on common practice.
    </p>
    <template v-else>
      <p class="mt-2 max-w-prose text-lg">{{ told }}</p>
      <p v-if="!enough" class="mt-2 font-semibold text-attention" data-testid="not-calibrated">
        Not yet calibrated: {{ pace.n }} of {{ WANTED }} jobs.
      </p>
      <div v-if="held" class="mt-4 grid gap-6 lg:grid-cols-2">
        <div>
          <table class="w-full text-left">
            <caption class="sr-only">
              What was foretold, and how often it came true
            </caption>
            <thead class="text-sm text-quiet">
              <tr>
                <th scope="col" class="font-normal">Told as</th>
                <th scope="col" class="text-right font-normal">Done by then</th>
                <th scope="col" class="pl-4 font-normal">It</th>
              </tr>
            </thead>
            <tbody class="ruled">
              <tr v-for="row in rows" :key="row.share">
                <td class="figure py-2">{{ row.share }} in 100</td>
                <td class="figure py-2 text-right text-lg font-bold">{{ row.came }} in 100</td>
                <td class="py-2 pl-4">{{ row.says }}</td>
              </tr>
            </tbody>
          </table>
          <p class="mt-2 text-quiet">
            On average over all odds it was off by {{ minutesText(held.pinball) }} (pinball loss).
          </p>
        </div>
        <figure class="m-0">
          <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="w-full" role="img" :aria-label="described">
            <rect
              v-for="(bar, index) in bars.list"
              :key="index"
              :x="bar.x"
              :y="bar.y"
              :width="bar.width"
              :height="bar.height"
              fill="var(--ink)"
            />
            <line
              :x1="0"
              :x2="WIDTH"
              :y1="bars.even"
              :y2="bars.even"
              stroke="var(--attention)"
              stroke-width="2"
              stroke-dasharray="6 4"
            />
            <line :x1="0" :x2="WIDTH" :y1="bars.floor" :y2="bars.floor" stroke="var(--ink)" />
            <text x="0" :y="HEIGHT - 8" font-size="14" fill="currentColor">quicker than foretold</text>
            <text :x="WIDTH" :y="HEIGHT - 8" font-size="14" text-anchor="end" fill="currentColor">slower</text>
          </svg>
          <figcaption class="mt-2 text-quiet">
            Our jobs by where they fell in what was foretold. Where it is right they stand evenly, at the dashed line;
            high ends say that we were too sure, a high middle too careful.
          </figcaption>
        </figure>
      </div>
    </template>
  </section>
</template>
