<script setup lang="ts">
import type { CausesAnswer, LearnedLine } from '../../../contracts/answers'
import { learnCauses } from '../../../core/decisions'
import { issuesOf } from '../../words/reason-of'

/** What the garage's own jobs changed: minutes of the work, and how often a cause is the one. Both can be forgotten. */
const t = useTerms()
const lines = shallowRef<LearnedLine[] | null>(null)
const causes = shallowRef<CausesAnswer | null>(null)
const problem = ref('')
const all = ref(false)
const sure = ref<'minutes' | 'causes' | null>(null)
async function load() {
  problem.value = ''
  try {
    ;[lines.value, causes.value] = await Promise.all([
      $fetch<LearnedLine[]>('/api/minutes'),
      $fetch<CausesAnswer>('/api/causes'),
    ])
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
onMounted(load)
const shown = computed(() =>
  (lines.value ?? []).filter(line => line.learned.used > 0).slice(0, all.value ? undefined : 12),
)
const moved = computed(() =>
  (causes.value?.tables ?? []).flatMap(table => {
    const own = causes.value!.cases.filter(entry => entry.tableId === table.id)
    const learned = learnCauses(table, own)
    return own.length === 0
      ? []
      : [
          {
            table,
            count: own.length,
            rows: table.causes
              .map((cause, index) => ({ title: cause.title, from: cause.prior, to: learned.causes[index]!.prior }))
              .filter(row => Math.abs(row.to - row.from) > 0.004)
              .sort((a, b) => Math.abs(b.to - b.from) - Math.abs(a.to - a.from))
              .slice(0, 6),
          },
        ]
  }),
)
async function forget(what: 'minutes' | 'causes') {
  try {
    await $fetch(`/api/${what}/own`, { method: 'DELETE' })
    sure.value = null
    await load()
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
const minutes = (value: number) => (value < 9.95 ? value.toFixed(1) : String(Math.round(value)))
const why = (line: LearnedLine) =>
  `${line.learned.used} ${line.learned.used === 1 ? 'time of ours weighs' : 'times of ours weigh'} ${Math.round(line.learned.weight * 100)} in 100, the layout’s estimate the rest${line.learned.setAside.length ? `; ${line.learned.setAside.length} set aside: ${[...new Set(line.learned.setAside.map(entry => entry.because))].join(' ').toLowerCase()}` : ''}`
</script>

<template>
  <div class="grid gap-10">
    <p v-if="problem" class="text-danger" role="alert">
      {{ t(problem) }} <button class="underline" @click="load">Try again</button>
    </p>
    <p v-else-if="!lines || !causes" role="status">Fetching what was learned</p>
    <template v-else>
      <OwnPace />
      <section aria-labelledby="minutes-title">
        <h2 id="minutes-title" class="text-xl">Minutes of our own</h2>
        <p class="mt-2">
          Every job that is handed over gives its minutes, by the timer or by the time between two steps. They are drawn
          toward the layout’s estimate until enough is known; work with a trouble on it is set aside. The next plan uses
          them.
        </p>
        <p v-if="shown.length === 0" class="mt-3 text-lg">Nothing yet: hand a job over first.</p>
        <div v-else class="mt-3 overflow-x-auto" role="region" aria-labelledby="minutes-title" tabindex="0">
          <table class="w-full text-left">
            <thead class="text-sm text-quiet">
              <tr>
                <th scope="col" class="font-normal">Work</th>
                <th scope="col" class="text-right font-normal">Layout</th>
                <th scope="col" class="pl-4 text-right font-normal">Ours</th>
                <th scope="col" class="pl-6 font-normal">Because</th>
              </tr>
            </thead>
            <tbody class="ruled">
              <tr v-for="line in shown" :key="line.operationId" class="align-top">
                <td class="py-2 pr-4">{{ t(line.title) }}</td>
                <td class="figure py-2 text-right">{{ minutes(line.from[1]) }}</td>
                <td class="figure py-2 pl-4 text-right font-bold">{{ minutes(line.learned.minutes[1]) }}</td>
                <td class="py-2 pl-6 text-quiet">{{ why(line) }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="mt-3 flex flex-wrap gap-2">
          <button v-if="lines.length > 12" class="button" @click="all = !all">
            {{ all ? 'Those that moved most' : `All ${lines.length}` }}
          </button>
          <template v-if="lines.length"
            ><button v-if="sure !== 'minutes'" class="button" @click="sure = 'minutes'">Forget them</button
            ><template v-else
              ><button class="button" @click="forget('minutes')">Yes, go back to the layouts’ own</button
              ><button class="button" @click="sure = null">Keep them</button></template
            ></template
          >
        </p>
      </section>
      <section aria-labelledby="own-causes-title">
        <h2 id="own-causes-title" class="text-xl">Causes we found</h2>
        <p v-if="moved.length === 0" class="mt-3 text-lg">Nothing yet: say under Prove, What it was, what was found.</p>
        <div v-for="entry in moved" :key="entry.table.id" class="mt-3">
          <p>
            <span class="font-semibold">{{ t(entry.table.title) }}</span>: <span class="figure">{{ entry.count }}</span>
            {{ entry.count === 1 ? 'job' : 'jobs' }}. How often each is the one, in 100, shipped and with ours:
          </p>
          <ul class="ruled mt-1">
            <li v-for="row in entry.rows" :key="row.title" class="flex justify-between gap-4 py-1.5">
              <span>{{ t(row.title) }}</span><span class="figure"
                >{{ (row.from * 100).toFixed(1) }} → {{ (row.to * 100).toFixed(1) }}</span
              >
            </li>
          </ul>
        </div>
        <p v-if="moved.length" class="mt-3 flex flex-wrap gap-2">
          <button v-if="sure !== 'causes'" class="button" @click="sure = 'causes'">Forget them</button
          ><template v-else
            ><button class="button" @click="forget('causes')">Yes, go back to the shipped tables</button
            ><button class="button" @click="sure = null">Keep them</button></template
          >
        </p>
      </section>
    </template>
  </div>
</template>
