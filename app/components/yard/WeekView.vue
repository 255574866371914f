<script setup lang="ts">
import { nowDate } from '../../device/clock'
import { planWeek, weekRange } from '../../../core/sequence'
import type { WeekRange } from '../../../core/sequence'
import { reduceJob, weekJobs, weekWindows } from '../../../core/job'
import type { WeekPlacing } from '../../../core/job'
import { minutesText } from '../../words/durations'
import { momentText } from '../../words/moments'
import { saveFile } from '../../links/save-file'
import { weekCalendar } from '../../links/week-calendar'
import { weekDays } from '../../drawing/week-days'

/** Which car when, over the days ahead; a car is put on another day by dragging, by keys or by buttons. */
const numbers = useNumbers()
const DAYS = 7
const yard = useYardStore()
const device = useDeviceStore()
const garage = useGarageStore()
const messages = useMessages()
const t = useTerms()
const now = shallowRef(nowDate())
const tick = setInterval(() => {
  now.value = nowDate()
}, 60_000)
onUnmounted(() => clearInterval(tick))
const asked = ref<string | null>(null)
const travel = ref('')
const days = computed(() => weekDays(now.value, DAYS, garage.garage?.hours ?? null, garage.garage?.location ?? null))
const windows = computed(() => weekWindows(days.value, now.value))
const jobs = computed(() => weekJobs(yard.jobs ?? [], now.value))
const lines = computed(() => new Map((yard.jobs ?? []).map(job => [job.jobId, job])))
const plan = computed(() => planWeek(jobs.value, windows.value))
const ranges = computed(
  () => new Map(jobs.value.map((job): [string, WeekRange] => [job.id, weekRange(job, windows.value)])),
)
/** Work and waits together are what the plan of the job counts as left. */
const waitsOf = (segments: { waitAfter: number }[]) => segments.reduce((sum, segment) => sum + segment.waitAfter, 0)
const at = (minutes: number) => momentText(new Date(now.value.getTime() + minutes * 60_000), now.value)
const job = computed(() => jobs.value.find(entry => entry.id === asked.value) ?? null)
const line = computed(() => job.value && lines.value.get(job.value.id)!)
const late = computed(() => jobs.value.filter(entry => plan.value.late[entry.id]! > 0))
const beyond = computed(() => jobs.value.filter(entry => plan.value.ends[entry.id] === Infinity))
const filled = computed(() => plan.value.waits.filter(wait => wait.filledBy.length > 0))
// What is being typed stays, whatever the yard hears meanwhile.
watch(asked, () => {
  travel.value = line.value ? String(line.value.site.travelMinutes) : ''
})

async function place(jobId: string, change: Partial<WeekPlacing>) {
  const job = await device.hold(jobId)
  const isRead = await device.refresh(jobId).then(
    () => true,
    () => job.log.length > 0,
  )
  if (!isRead) return messages.say('Its log cannot be read just now, so nothing was changed.', 'refused')
  // Its line may be older than what was just changed.
  const state = reduceJob(job.ahead)
  const act = device.act(job, 'week-placed', { ...state.site, ...change }, { state })
  if (typeof act === 'string') return messages.say(act, 'refused')
  await act
  yard.show(job)
}
const minutesOf = (date: Date) => (date.getTime() - now.value.getTime()) / 60_000
/** Puts a car on a day, if it may begin there; today takes the putting off back. */
function move(jobId: string, day: number) {
  const range = ranges.value.get(jobId)!
  const { from, to, worked } = days.value[day]!
  if (!worked) return messages.say('Nobody works that day.', 'refused')
  if (minutesOf(to) <= range.earliest)
    return messages.say(`Not before ${at(range.earliest)}. ${t(range.tooEarly ?? '')}`, 'refused')
  if (range.latest !== null && minutesOf(from) > range.latest) return messages.say(range.tooLate!, 'refused')
  void place(jobId, { notBefore: day === 0 ? null : from.toISOString() })
}
const dayOf = (jobId: string) => {
  const start = plan.value.blocks.find(block => block.jobId === jobId)?.from
  return start === undefined
    ? 0
    : Math.max(
        0,
        days.value.findIndex(
          (day, index) => start < (days.value[index + 1] ? minutesOf(days.value[index + 1]!.start) : Infinity),
        ),
      )
}
function shift(by: 1 | -1) {
  if (!asked.value) return
  let day = dayOf(asked.value) + by
  while (days.value[day] && !days.value[day]!.worked) day += by
  if (days.value[day]) move(asked.value, day)
}
async function calendar() {
  saveFile(await weekCalendar(plan.value, lines.value, now.value), 'days-ahead.ics')
}
function keepTravel() {
  const minutes = numbers.plain(travel.value)
  if (!(minutes >= 0 && minutes <= 600)) return messages.say('Minutes on the road, from 0 to 600.', 'refused')
  void place(asked.value!, { travelMinutes: minutes })
}
useKeys({ ArrowLeft: () => shift(-1), ArrowRight: () => shift(1) })
</script>

<template>
  <SheetWithMargin margin-title="The car asked" :open="false">
    <slot />
    <p v-if="jobs.length === 0" class="mt-4 text-lg">No car has work ahead.</p>
    <template v-else>
      <p class="mt-3 text-lg" data-testid="week-says">
        <template v-if="late.length"
          >In the best order found
          {{
            late
              .map(
                entry =>
                  `${lines.get(entry.id)!.vehicleName} is done ${minutesText(plan.late[entry.id]!)} after its promise`,
              )
              .join(', ')
          }}: move a promise, or a car.</template
        >
        <template v-else-if="beyond.length"
          >{{ beyond.map(entry => lines.get(entry.id)!.vehicleName).join(', ') }}
          {{ beyond.length === 1 ? 'does' : 'do' }} not fit into these days.</template
        >
        <template v-else
          >All promises hold. The last car is done {{ at(Math.max(...Object.values(plan.ends))) }}.</template
        >
        <template v-if="plan.travelMinutes"> {{ minutesText(plan.travelMinutes) }} on the road.</template>
      </p>
      <p v-if="filled.length" class="text-quiet">
        {{
          filled
            .map(
              wait =>
                `While ${lines.get(wait.jobId)!.vehicleName} waits from ${at(wait.from)}, there is time for ${wait.filledBy.map(id => lines.get(id)!.vehicleName).join(' and ')}`,
            )
            .join('. ')
        }}.
      </p>
      <WeekPicture
        class="mt-4"
        :days="days"
        :now="now"
        :jobs="jobs"
        :lines="lines"
        :plan="plan"
        :ranges="ranges"
        :asked="asked"
        @ask="
          id => {
            asked = id
          }
        "
        @move="move"
      />
      <ul class="ruled mt-4" aria-label="Cars of these days">
        <li v-for="entry in jobs" :key="entry.id">
          <button
            class="flex min-h-12 w-full flex-wrap items-baseline gap-x-4 py-2 text-left"
            :aria-pressed="asked === entry.id"
            :class="asked === entry.id ? 'bg-tint' : ''"
            :data-testid="`week-${lines.get(entry.id)!.number}`"
            @click="asked = entry.id"
          >
            <span class="font-semibold"
              ><span class="figure mr-2 text-quiet">{{ lines.get(entry.id)!.number }}</span
              >{{ lines.get(entry.id)!.vehicleName }}</span
            >
            <span
              >{{ minutesText(entry.segments.reduce((sum, segment) => sum + segment.minutes, 0)) }} of work{{
                waitsOf(entry.segments) >= 1 ? ` and ${minutesText(waitsOf(entry.segments))} of waits` : ''
              }},
              {{
                plan.blocks.some(block => block.jobId === entry.id)
                  ? `from ${at(plan.blocks.find(block => block.jobId === entry.id)!.from)}`
                  : 'not in these days'
              }}{{ plan.ends[entry.id] === Infinity ? '' : `, done ${at(plan.ends[entry.id]!)}` }}</span
            >
            <span v-if="plan.late[entry.id]! > 0" class="font-semibold text-danger"
              >{{ minutesText(plan.late[entry.id]!) }} after its promise</span
            >
          </button>
        </li>
      </ul>
      <p class="mt-4"><button class="button" @click="calendar">These days for a calendar</button></p>
    </template>
    <template #margin>
      <section v-if="job && line" class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg">{{ line.vehicleName }}</h2>
        <p>
          {{ line.customer }}<template v-if="line.promisedAt">, promised {{ momentText(line.promisedAt) }}</template
          >.
        </p>
        <div class="grid grid-cols-2 gap-2">
          <button class="button" @click="shift(-1)">A day earlier</button
          ><button class="button" @click="shift(1)">A day later</button>
        </div>
        <p class="text-quiet">
          It can begin from {{ at(ranges.get(job.id)!.earliest)
          }}<template v-if="ranges.get(job.id)!.tooEarly">
            ({{ t(ranges.get(job.id)!.tooEarly!).replace(/\.$/, '') }})</template
          ><template v-if="ranges.get(job.id)!.latest !== null"
            >, and at the latest {{ at(ranges.get(job.id)!.latest!) }} for its promise to hold</template
          >.
        </p>
        <button v-if="line.site.notBefore" class="button" @click="place(job!.id, { notBefore: null })">
          As soon as it can
        </button>
        <ChoiceRow
          :model-value="line.site.site"
          label="It stands"
          :choices="[
            { id: 'bay', label: 'in the bay' },
            { id: 'driveway', label: 'at the customer’s' },
          ]"
          @update:model-value="site => place(job!.id, { site: site! })"
        />
        <form
          v-if="line.site.site === 'driveway'"
          class="flex flex-wrap items-end gap-2"
          novalidate
          @submit.prevent="keepTravel"
        >
          <div class="w-36">
            <Field v-slot="{ control }" id="travel" label="Minutes away"
              ><input v-bind="control" v-model="travel" class="figure mt-1" inputmode="numeric"
            /></Field>
          </div>
          <button class="button">Keep</button>
        </form>
        <ol class="ruled">
          <li v-for="block in plan.blocks.filter(entry => entry.jobId === job!.id)" :key="block.from" class="py-2">
            <span v-if="block.travel" class="block text-quiet"
              >{{ minutesText(block.travel[1] - block.travel[0]) }} on the road, from {{ at(block.travel[0]) }}</span
            >{{ at(block.from) }} to {{ at(block.to)
            }}<span v-if="job!.segments[block.segment]!.because" class="block text-quiet">{{
              t(job!.segments[block.segment]!.because!)
            }}</span>
          </li>
        </ol>
        <NuxtLink class="button" :to="`/jobs/${job.id}/plan`">Its plan</NuxtLink>
      </section>
      <section v-else class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg">How it is found</h2>
        <p>
          One mechanic, the garage’s hours, light on a driveway, parts on their way, promises.
          {{ plan.proven ? 'Every order of preference was tried.' : 'The best of some thousand orders.' }} Minutes late
          weigh most, then how soon each car is done, then the road.
        </p>
        <p class="text-quiet">
          Cost {{ Math.round(plan.cost) }}; with each car alone on these days it would be
          {{ Math.round(plan.lowerBound) }}.
        </p>
        <p>
          Drag a car to another day, or ask for it and use <kbd class="figure">← →</kbd>. Hatched: it waits, and the
          mechanic is free. A flag is its promise, a stroke with a dot what it waits for; grey is dark or closed.
        </p>
      </section>
    </template>
  </SheetWithMargin>
</template>
