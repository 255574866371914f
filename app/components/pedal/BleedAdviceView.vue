<script setup lang="ts">
import { nowMs } from '../../device/clock'
import { adviseBleed } from '../../../core/hydraulics/advise-bleed'
import { bleedingStep, plannedWay, wayNow } from '../../../core/job'
import { wayChoices } from '../../../core/packs/way-choices'
import type { BleedSituation } from '../../../core/hydraulics'
import type { JudgeKind } from '../../../core/packs'

/** Which way to bleed on this job, from what is there. */
const { store, state, path } = useJob()
const marginOpen = ref(false)
const { pack, ways } = useBleedWays()
const sheetWith = (judge: JudgeKind) =>
  state.value.procedure!.bench.sheets.find(sheet => sheet.judges.some(entry => entry.kind === judge))
/** This job fills its line again where the sheet of the air belongs to a step of the filling. */
const filled = state.value.procedure!.operations.some(
  operation => operation.phase === 'fill' && sheetWith('trapped-air')?.steps.includes(operation.id),
)
const opened = ref<'yes' | 'no'>(filled ? 'yes' : 'no')
const slave = ref<BleedSituation['slave']>(sheetWith('concentric-gap') ? 'concentric' : 'outside')
const { chooseAll, sending } = useOptionSwitch()
const router = useRouter()
const step = computed(() => bleedingStep(state.value))
const begunHere = computed(
  () => step.value !== null && state.value.bleeding[step.value.id] !== undefined && !state.value.done[step.value.id],
)
const wayWith = (method: string) =>
  (state.value.procedure!.bleeding ?? pack.value?.bleeding ?? []).find(way => way.id === method)
const current = computed(
  () => step.value && (wayNow(state.value, step.value.id) ?? plannedWay(state.value, step.value.activity)).id,
)
/** What the plan would have to choose for a way; `null` where it has no step for it. */
const choices = (method: string) => {
  const way = wayWith(method)
  return way && pack.value ? wayChoices(pack.value, state.value.procedure!.options, way.id) : null
}
const unplanned = (method: string) => pack.value !== null && method !== 'unopened' && choices(method) === null
/** Goes this way: in the middle of a bleeding at once, before it by another step of the plan. */
async function take(method: string) {
  const way = wayWith(method)!
  const taken = begunHere.value
    ? store.write('bleed-switched', {
        stepId: step.value!.id,
        way: way.id,
        strokesPerRound: way.perRound,
        restMinutes: way.restMinutes,
      })
    : await chooseAll(choices(method)!)
  if (taken) void router.push(path('pedal'))
}
const helper = ref<'yes' | 'no'>(state.value.procedure!.hands === 2 || state.value.circumstances.helper ? 'yes' : 'no')
const bleeder = ref<BleedSituation['bleeder']>(slave.value === 'concentric' ? 'at-top' : 'low')
const shared = ref<'yes' | 'no'>('yes')
const preFilled = ref<'yes' | 'no'>('no')
const hours = ref<'1' | '3' | 'night'>(
  state.value.promisedAt && Date.parse(state.value.promisedAt) - nowMs() < 3 * 3_600_000 ? '1' : 'night',
)
/** Aids that some way wants. */
const aids = computed(() => [
  ...new Map(ways.value.flatMap(way => (way.wants ? [[way.wants.id, way.wants] as const] : []))).values(),
])
const atHand = ref<string[]>([])
const advice = computed(() =>
  adviseBleed(
    {
      opened: opened.value === 'yes',
      preFilled: preFilled.value === 'yes',
      slave: slave.value,
      bleeder: bleeder.value,
      helper: helper.value === 'yes',
      tools: atHand.value,
      minutesLeft: { 1: 60, 3: 180, night: 900 }[hours.value],
      sharedReservoir: shared.value === 'yes',
    },
    ways.value,
  ),
)
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" margin-title="The schools">
    <PedalHead />
    <h1 class="text-2xl">Which way to bleed</h1>
    <p v-if="advice[0]" class="mt-3 border-l-4 border-good pl-3 text-xl" aria-live="polite" data-testid="advised">
      <span class="font-bold">{{ advice[0].title }}.</span> {{ advice[0].because[0] }}
    </p>
    <div class="mt-4 grid gap-4 md:grid-cols-2">
      <ChoiceRow
        v-model="opened"
        label="The clutch line"
        :choices="[
          { id: 'yes', label: 'was opened' },
          { id: 'no', label: 'stayed closed' },
        ]"
      />
      <ChoiceRow
        v-model="slave"
        label="The slave"
        :choices="[
          { id: 'outside', label: 'sits outside' },
          { id: 'concentric', label: 'sits round the shaft' },
        ]"
      />
      <ChoiceRow
        v-model="helper"
        label="A second person"
        :choices="[
          { id: 'yes', label: 'is there' },
          { id: 'no', label: 'is not' },
        ]"
      />
      <ChoiceRow
        v-model="bleeder"
        label="The bleeder"
        :choices="[
          { id: 'at-top', label: 'sits at the top' },
          { id: 'low', label: 'sits low' },
          { id: 'none', label: 'there is none' },
        ]"
      />
      <ChoiceRow
        v-model="shared"
        label="The reservoir"
        :choices="[
          { id: 'yes', label: 'feeds the brakes too' },
          { id: 'no', label: 'is the clutch’s own' },
        ]"
      />
      <ChoiceRow
        v-model="preFilled"
        label="The set"
        :choices="[
          { id: 'no', label: 'comes dry' },
          { id: 'yes', label: 'comes filled, strap on' },
        ]"
      />
      <ChoiceRow
        v-model="hours"
        label="The car can stand"
        :choices="[
          { id: '1', label: 'an hour' },
          { id: '3', label: 'three hours' },
          { id: 'night', label: 'overnight' },
        ]"
      />
      <fieldset>
        <legend class="label">At hand</legend>
        <div class="mt-2 flex flex-wrap gap-2">
          <label
            v-for="aid in aids"
            :key="aid.id"
            class="flex min-h-12 items-center gap-2 border-2 border-line bg-sheet px-3"
            ><input v-model="atHand" type="checkbox" :value="aid.id" class="size-5 min-h-0 w-auto" />{{
              aid.name
            }}</label
          >
        </div>
      </fieldset>
    </div>
    <ol class="ruled mt-5" data-testid="bleed-advice">
      <li v-for="(entry, index) in advice.filter(each => each.possible)" :key="entry.method" class="py-3">
        <p class="text-xl" :class="index === 0 ? 'font-bold' : 'font-semibold'">
          {{ entry.title }}<span v-if="index === 0" class="ml-2 text-base text-good">✓ advised here</span>
          <span class="figure text-base font-normal text-quiet">about {{ entry.minutes }} min</span>
        </p>
        <p v-for="line in entry.because" :key="line">{{ line }}</p>
        <p v-if="current === entry.method" class="label">
          {{ begunHere ? 'It is done this way now.' : 'The plan goes this way.' }}
        </p>
        <button
          v-else-if="entry.method !== 'unopened' && choices(entry.method)"
          class="button mt-2"
          :class="index === 0 ? 'button-main' : ''"
          :disabled="sending || (begunHere && !wayWith(entry.method))"
          @click="take(entry.method)"
        >
          {{ begunHere ? 'Go on this way' : 'Take this way into the plan' }}
        </button>
        <p v-if="unplanned(entry.method)" class="text-quiet">
          The plan has no steps for it: work by its maker’s sheet, then prove the pedal under “Does it release”.
        </p>
      </li>
    </ol>
    <h2 class="mt-5 border-b border-ink pb-1 text-lg">Not here</h2>
    <ul class="ruled">
      <li v-for="entry in advice.filter(each => !each.possible)" :key="entry.method" class="py-2 text-quiet">
        <span class="label text-ink">{{ entry.title }}.</span> {{ entry.because.join(' ') }}
      </li>
    </ul>
    <p class="mt-5 flex flex-wrap gap-2">
      <NuxtLink class="button" :to="path('plan')">Switch it in the plan, under How</NuxtLink
      ><NuxtLink class="button" :to="path('pedal/learn')">See why a rest works</NuxtLink>
    </p>
    <template #margin>
      <div class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg max-lg:hidden">The schools</h2>
        <p>
          <span class="label">Pump and rest</span> lets the air climb by itself. Nobody is needed, and nothing can go
          dry; it takes hours.
        </p>
        <p>
          <span class="label">Two people</span> send fluid and air out at the bleeder: quick while both keep the beat,
          close before the pedal comes up.
        </p>
        <p>
          <span class="label">From below</span> pushes air the way it climbs. Dirt goes up with it: draw a shared
          reservoir down first.
        </p>
        <p class="text-sm text-quiet">
          Points and minutes are trade practice, from memory. The maker’s way and kind of fluid go before it. Glasses
          on; fluid strips paint.
        </p>
      </div>
    </template>
  </SheetWithMargin>
</template>
