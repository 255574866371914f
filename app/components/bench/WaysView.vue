<script setup lang="ts">
import { nowDate } from '../../device/clock'
import { compareWays, minutesLater } from '../../../core/decisions'
import type { Way } from '../../../core/decisions'
import { pastOf, planSetting } from '../../../core/job'
import type { Sheet } from '../../../core/packs'
import { minutesText } from '../../words/durations'
import { momentText } from '../../words/moments'
import type { PlannedWay } from '../../../core/job'
import { utcOffsetMinutes } from '../../words/utc-offset'

/** Machine, keep or buy: money, days and risk of each way side by side, against what was promised. */
const props = defineProps<{ sheet: Sheet }>()
const { store, state, verdicts, path } = useBench()
const t = useTerms()
const { money, labourPerHour } = useMoney()
const { pack, gone, load } = usePack()
const { supplier, quotes, problem: noQuotes } = useQuotes()
const { choose: send, sending } = useOptionSwitch()
const DAY_MINUTES = 1440
const marginOpen = ref(false)
const planned = shallowRef<Record<string, PlannedWay>>({})
const failed = ref('')
const from = ref(nowDate())
const option = computed(() => props.sheet.ways!.option)
const current = computed(() => state.value.procedure!.options[option.value]!)
const level = computed(() => verdicts.value.get(props.sheet.id)!.level ?? 'good')
const offered = computed(() =>
  props.sheet.ways!.choices.filter(way =>
    pack.value?.options.find(entry => entry.id === option.value)?.choices.some(choice => choice.id === way.choice),
  ),
)
const worker = usePlannerWorker()

watch(
  () => [pack.value, quotes.value, noQuotes.value, state.value.plan] as const,
  async () => {
    if (!pack.value || (quotes.value.size === 0 && !noQuotes.value)) return
    const { procedure, circumstances, done, car } = state.value
    const past = pastOf(state.value)
    from.value = nowDate()
    const minutes = past?.steps.at(-1)?.finishMinutes ?? 0
    const clock = { at: from.value.toISOString(), utcOffsetMinutes: utcOffsetMinutes(from.value), minutes }
    const arrivalsOf = (parts: string[]) =>
      parts.flatMap(partId => {
        const quote = quotes.value.get(partId)
        const open = state.value.orders.some(order => order.partId === partId)
        return quote && !open
          ? [{ partId, atMinutes: minutes + (Date.parse(quote.arrivesAt) - from.value.getTime()) / 60_000 }]
          : []
      })
    const choosing = posted({
      pack: pack.value,
      options: procedure!.options,
      setting: planSetting(circumstances, procedure!.hands, clock),
      past,
      stand: { procedure: procedure!, done: Object.keys(done), car },
    })
    const wanted = offered.value.map(way => ({ choice: way.choice, arrivals: arrivalsOf(way.parts) }))
    try {
      const found = await worker.ask(planner => planner.ways(choosing, option.value, wanted))
      planned.value = Object.fromEntries(found.map(way => [way.choice, way]))
    } catch (error) {
      failed.value = (error as Error).message
    }
  },
  { immediate: true },
)

const comeback = computed(() => {
  const later = minutesLater(state.value.procedure!, props.sheet.steps)
  return ((later?.minutes ?? 0) / 60) * labourPerHour.value
})
const closedOf = (choice: (typeof offered.value)[number]): string | null => {
  const answer = choice.closedIf && state.value.sheets[props.sheet.id]?.values[choice.closedIf.field]
  if (answer?.kind === 'choice' && choice.closedIf!.is.includes(answer.answer)) return choice.closedIf!.because
  const judged =
    choice.closedBy &&
    verdicts.value
      .get(props.sheet.id)!
      .findings.find(finding => finding.judge === choice.closedBy && finding.level === 'renew')
  return judged ? judged.sentence : (planned.value[choice.choice]?.barred ?? null)
}
const base = computed(() => planned.value[current.value] ?? null)
const ways = computed((): Way[] =>
  !base.value || Object.keys(planned.value).length < offered.value.length
    ? []
    : offered.value.map(choice => {
        const plan = planned.value[choice.choice]!
        const parts = choice.parts.reduce((sum, id) => sum + (quotes.value.get(id)?.priceEach ?? 0), 0)
        const labour = plan.barred
          ? 0
          : ((plan.labourMinutes -
              Math.min(
                ...Object.values(planned.value)
                  .filter(way => !way.barred)
                  .map(way => way.labourMinutes),
              )) /
              60) *
            labourPerHour.value
        return {
          id: choice.choice,
          money: parts + labour,
          finishMinutes: plan.barred ? 0 : plan.finishMinutes - base.value!.finishMinutes,
          chance: choice.chance[level.value],
          comebackCost: comeback.value,
          closed: closedOf(choice),
        }
      }),
)
const finishAt = (minutes: number) =>
  new Date(from.value.getTime() + ((base.value?.finishMinutes ?? 0) + minutes) * 60_000)
const slack = computed(() =>
  state.value.promisedAt ? (Date.parse(state.value.promisedAt) - finishAt(0).getTime()) / 60_000 : null,
)
const compared = computed(() => (ways.value.length === 0 ? null : compareWays(ways.value, slack.value)))
const choiceOf = (id: string) => offered.value.find(way => way.choice === id)!
const label = (id: string) => t(choiceOf(id).label)

async function choose(id: string) {
  const reason = `${label(id)}. ${compared.value!.advised === id ? compared.value!.because : t(choiceOf(id).because)}`
  // What lay side by side when it was chosen; the switch plans everything anew.
  const lay = ways.value.map(({ id: way, money: cost, finishMinutes, chance, closed }) => ({
    id: way,
    money: Math.max(0, cost),
    finishMinutes,
    chance,
    closed,
  }))
  if (id !== current.value && !(await send(option.value, id, planned.value[id]!.order))) return
  store.write('way-chosen', { option: option.value, choice: id, because: reason, ways: lay })
}
const span = (minutes: number) =>
  minutes >= 1.5 * DAY_MINUTES ? `${Math.round(minutes / DAY_MINUTES)} days` : minutesText(minutes)
const days = (minutes: number) =>
  Math.abs(minutes) < 1 ? 'as it is' : minutes > 0 ? `${span(minutes)} later` : `${span(-minutes)} sooner`
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" margin-title="How they compare">
    <slot />
    <h1 class="mt-3 text-2xl">{{ t(sheet.title) }}: ways on</h1>
    <PromiseLine class="mt-2" />
    <p v-if="gone" class="mt-3 border-l-4 border-attention pl-3">
      The other ways cannot be worked out. {{ gone }}
      <button class="font-semibold underline" @click="load">Try again</button>
    </p>
    <p v-else-if="failed" class="mt-3 text-danger" role="alert">{{ failed }}</p>
    <p v-else-if="!compared" class="mt-3 text-quiet" role="status">Planning each way through</p>
    <template v-else>
      <p v-if="noQuotes" class="mt-3 border-l-4 border-attention pl-3">
        {{ noQuotes }} Parts count nothing here, and no days for getting them.
      </p>
      <p v-if="compared.advised" class="mt-3 border-l-4 border-action pl-3 text-xl" data-testid="advice">
        <span class="font-semibold">{{ label(compared.advised) }}.</span> {{ compared.because }}
      </p>
      <div class="mt-4">
        <p
          class="grid grid-cols-[minmax(0,1fr)_5rem_8.5rem_4.5rem_5.5rem_6.5rem] items-end gap-x-3 border-b-2 border-ink pb-1 font-semibold max-md:hidden"
          aria-hidden="true"
        >
          <span>Way</span><span class="text-right">Money</span><span>Done</span
          ><span class="text-right">Comes back</span><span class="text-right">With its risk</span>
        </p>
        <ul class="ruled">
          <li
            v-for="way in compared.ways"
            :key="way.id"
            class="grid items-start gap-x-3 gap-y-2 py-3 md:grid-cols-[minmax(0,1fr)_5rem_8.5rem_4.5rem_5.5rem_6.5rem]"
            :data-testid="`way-${way.id}`"
          >
            <p>
              <span class="text-lg font-semibold" :class="way.closed ? 'text-quiet' : ''">{{
                label(way.id)
              }}</span><span v-if="way.id === current" class="tag ml-2 text-sm">as planned</span
              ><span class="block text-sm text-quiet">{{ t(way.closed ?? choiceOf(way.id).because) }}</span>
            </p>
            <template v-if="!way.closed">
              <p class="md:text-right">
                <span class="text-quiet md:sr-only">Money </span
                ><span class="figure text-lg">{{ money(way.money) }}</span>
              </p>
              <p>
                <span class="text-quiet md:sr-only">Done </span
                ><span class="figure">{{ momentText(finishAt(way.finishMinutes)) }}</span
                ><span class="block text-sm text-quiet">{{ days(way.finishMinutes) }}</span
                ><span v-if="way.lateMinutes" class="block text-sm font-semibold text-attention">past the promise</span>
              </p>
              <p class="md:text-right">
                <span class="text-quiet md:sr-only">Comes back </span
                ><span class="figure">{{ Math.round(way.chance * 100) }}&nbsp;%</span>
              </p>
              <p class="md:text-right">
                <span class="text-quiet md:sr-only">With its risk </span
                ><span class="figure text-lg font-semibold">{{ money(way.expected) }}</span>
              </p>
              <button
                class="button"
                :class="way.id === compared.advised ? 'button-main' : ''"
                :disabled="sending"
                :aria-label="`Choose: ${label(way.id)}`"
                @click="choose(way.id)"
              >
                Choose
              </button>
            </template>
            <p v-else class="text-quiet md:col-span-5">closed</p>
          </li>
        </ul>
      </div>
      <p v-if="choiceOf(current)?.parts.length" class="mt-2">
        <NuxtLink class="button" :to="path('bench/parts')">To the parts it needs</NuxtLink>
      </p>
    </template>
    <p v-if="state.ways.length" class="mt-4 text-lg" data-testid="chosen">
      Chosen: <span class="font-semibold">{{ t(state.ways.at(-1)!.because) }}</span>
    </p>
    <template #margin>
      <h2 class="border-b border-ink pb-1 text-lg">How they compare</h2>
      <div class="mt-2 grid gap-3">
        <p>
          Each way is planned through from the steps done, with its own parts on the day
          {{ supplier || 'the supplier' }} gives, in your working hours. “Done” is when that plan ends.
        </p>
        <p>
          Money is parts and shop, and work above the way with the least of it at
          <span class="figure">{{ money(labourPerHour) }}</span> an hour.
        </p>
        <p>
          Coming back would cost <span class="figure">{{ money(comeback) }}</span> of work: every step of this plan that
          lies between the whole car and this part, there and back. How likely that is goes by what the sheet says now,
          from memory of the trade.
        </p>
      </div>
    </template>
  </SheetWithMargin>
</template>
