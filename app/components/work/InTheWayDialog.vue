<script setup lang="ts">
import { unforeseen } from '../../../contracts/events/unforeseen'
import type { StepView } from '../../../core/job'
import { EITHER_POSITION } from '../../../core/packs'
import type { CautionSign } from '../../../core/packs'
import type { FoundBefore, VehicleHistory } from '../../../contracts/answers'
import { nowIso } from '../../device/clock'
import { fetchKept } from '../../device/fetch-kept'
import { newId } from '../../log/ids'
import { minutesText } from '../../words/durations'
import { foundTitles } from '../../words/found-things'
import { utcOffsetMinutes } from '../../words/utc-offset'

/** Something else is in the way: it becomes a step before this one, with what comes off and the way back, in the plan at once. */
const props = defineProps<{ open: boolean; step: StepView }>()
const emit = defineEmits<{ close: []; added: [] }>()
const { store } = useJob()
const messages = useMessages()
const t = useTerms()
const PLACE_SIGNS = new Set<CautionSign>(['under', 'moving', 'hot', 'current'])
const garage = useGarageStore()
const found = computed(() => garage.garage!.found)
const kind = ref(found.value[0]!.id)
const thing = computed(() => found.value.find(({ id }) => id === kind.value)!)
const name = ref('')
const count = ref('1')
const bolts = ref('0')
const minutes = ref('')
const waits = ref<'this' | 'none'>('this')
const back = ref<'yes' | 'no'>('yes')
const numbers = useNumbers()
const { problems, check } = useChecked(unforeseen['step-added'])

/** What was found on this model before, and is not in this plan yet. */
const before = shallowRef<FoundBefore[]>([])
const offered = computed(() => {
  const there = new Set(store.state.added.flatMap(({ takesOff }) => takesOff.map(({ name }) => name.toLowerCase())))
  return before.value.filter(({ name }) => !there.has(name.toLowerCase())).slice(0, 6)
})
function take(earlier: FoundBefore) {
  const alike = found.value.find(({ state, name: usual }) => state === earlier.state && usual !== '')
  kind.value = (alike ?? found.value.at(-1)!).id
  name.value = earlier.name
  count.value = String(earlier.count)
  bolts.value = String(earlier.bolts)
  minutes.value = String(earlier.minutes)
  back.value = earlier.goesBack ? 'yes' : 'no'
}
function begin(id: string) {
  kind.value = id
  name.value = thing.value.name
  minutes.value = String(thing.value.minutes)
}
watch(
  () => props.open,
  open => {
    if (!open) return
    begin(found.value[0]!.id)
    count.value = '1'
    bolts.value = '0'
    waits.value = 'this'
    back.value = 'yes'
    problems.value = {}
    // It goes on without.
    fetchKept<VehicleHistory>(`/api/vehicles/${store.state.vehicle!.id}`)
      .then(history => {
        before.value = history.found
      })
      .catch(() => {})
  },
  { immediate: true },
)
const called = computed(() => name.value.trim())
const titles = computed(() => foundTitles(called.value, thing.value.state))
const where = computed(() => {
  const { car } = props.step.operation!
  return car === EITHER_POSITION ? props.step.at.name : `${props.step.at.name}, ${props.step.stance.name}`
})

/** Cautions that come with where one is, not with what is done there. */
const ofThePlace = (ids: string[]) =>
  props.step.cautions.filter(({ id, sign }) => ids.includes(id) && PLACE_SIGNS.has(sign)).map(({ id }) => id)

const summary = computed(() =>
  [
    `${where.value}${waits.value === 'this' ? `, before “${t(props.step.title)}”` : ''}.`,
    back.value === 'yes'
      ? `${titles.value.back} when what is behind it is back.`
      : 'It is not on the list of what goes back.',
  ].join(' '),
)

async function submit() {
  const before = store.ahead.plan!.totals.minutes
  const stepId = `own-${newId()}`
  const { operation } = props.step
  const [likely, pieces, held] = [minutes.value, count.value, bolts.value].map(numbers.plain) as [
    number,
    number,
    number,
  ]
  const things = [
    { id: `${stepId}-thing`, name: called.value, count: pieces, state: thing.value.state, isFastener: false },
    ...(held > 0
      ? [
          {
            id: `${stepId}-bolts`,
            name: `bolts of the ${called.value}`,
            count: held,
            state: 'off' as const,
            isFastener: true,
          },
        ]
      : []),
  ]
  const taken = await check(
    {
      stepId,
      title: titles.value.away,
      phase: operation!.phase,
      place: operation!.place,
      car: operation!.car,
      minutes: likely,
      tools: [],
      cautions: ofThePlace(operation!.cautions),
      takesOff: back.value === 'yes' ? things : [],
      after: [],
      before: waits.value === 'this' ? [props.step.id] : [],
      refit: back.value === 'yes' ? { title: titles.value.back, minutes: likely } : null,
      at: nowIso(),
      utcOffsetMinutes: utcOffsetMinutes(),
    },
    payload => store.write('step-added', payload),
    {
      ...(called.value ? {} : { title: 'Say what it is.' }),
      ...(pieces >= 1 && Number.isInteger(pieces) ? {} : { takesOff: 'A whole number from 1 up.' }),
      ...(held >= 0 && Number.isInteger(held) ? {} : { bolts: 'A whole number; 0 where nothing holds it.' }),
      ...(Number.isNaN(likely) ? { minutes: 'Minutes, as a number.' } : {}),
    },
  )
  if (!taken) return
  const more = Math.round(store.ahead.plan!.totals.minutes - before)
  messages.say(
    `In the plan: ${titles.value.away}. ${more > 0 ? `The job takes ${minutesText(more)} longer.` : 'The job takes no longer.'}`,
  )
  emit('added')
}
</script>

<template>
  <BaseDialog
    :open="open"
    title="Something else is in the way"
    first="[role=radio][aria-checked=true]"
    @close="emit('close')"
  >
    <form class="grid gap-4" novalidate @submit.prevent="submit">
      <section v-if="offered.length" aria-label="On this model before">
        <p class="label">On this model before</p>
        <div class="mt-2 flex flex-wrap gap-2">
          <button v-for="earlier in offered" :key="earlier.name" type="button" class="button" @click="take(earlier)">
            {{ earlier.name }} <span class="figure text-sm text-quiet">{{ minutesText(earlier.minutes) }}</span>
          </button>
        </div>
      </section>
      <ChoiceRow
        :model-value="kind"
        label="What is it"
        :choices="found.map(({ id, label }) => ({ id, label }))"
        @update:model-value="id => begin(id!)"
      />
      <Field v-slot="{ control }" id="way-name" label="You call it" :problem="problems.title ?? ''"
        ><input v-bind="control" v-model="name" class="mt-1" maxlength="60" autocomplete="off"
      /></Field>
      <div class="grid grid-cols-3 gap-3">
        <Field v-slot="{ control }" id="way-count" label="How many" :problem="problems.takesOff ?? ''"
          ><input v-bind="control" v-model="count" class="figure mt-1" inputmode="numeric"
        /></Field>
        <Field v-slot="{ control }" id="way-bolts" label="Bolts" :problem="problems.bolts ?? ''"
          ><input v-bind="control" v-model="bolts" class="figure mt-1" inputmode="numeric"
        /></Field>
        <Field v-slot="{ control }" id="way-minutes" label="Minutes" :problem="problems.minutes ?? ''"
          ><input v-bind="control" v-model="minutes" class="figure mt-1" inputmode="decimal"
        /></Field>
      </div>
      <ChoiceRow
        v-model="waits"
        label="When"
        :choices="[
          { id: 'this', label: 'Before this step' },
          { id: 'none', label: 'Any time' },
        ]"
      />
      <ChoiceRow
        v-model="back"
        label="Does it go back"
        :choices="[
          { id: 'yes', label: 'It goes back' },
          { id: 'no', label: 'It stays off' },
        ]"
      />
      <p class="border-l-4 border-rule pl-4">
        <template v-if="called">
          <span class="font-semibold">{{ titles.away }}</span>: {{ summary }}
        </template>
        <template v-else>{{ where }}.</template>
      </p>
      <p v-if="problems.form" class="text-danger" role="alert">{{ t(problems.form) }}</p>
      <div class="sticky -bottom-5 -mx-1 -mb-5 bg-paper px-1 pt-2 pb-5 sm:-bottom-7 sm:-mb-7 sm:pb-7">
        <button class="button button-main button-big w-full">Put it in the plan</button>
      </div>
    </form>
  </BaseDialog>
</template>
