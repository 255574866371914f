<script setup lang="ts">
import { again } from '../../../contracts/events/again'
import { anewMinutes, anewSteps, isBegun, stepTitle } from '../../../core/job'
import type { About } from '../../../core/job'
import { nowIso } from '../../device/clock'
import { newId } from '../../log/ids'
import { minutesText } from '../../words/durations'
import { utcOffsetMinutes } from '../../words/utc-offset'

/** A step is done anew: what comes apart for it becomes work of the plan, with whoever works on it elsewhere and what it needs new. */
const props = defineProps<{ open: boolean; about: About; because: string; troubleId: string | null; sentTo?: string }>()
const emit = defineEmits<{ close: []; planned: [] }>()
const { store, state } = useJob()
const messages = useMessages()
const t = useTerms()
const numbers = useNumbers()
const SHOWN = 5
const steps = computed(() => (props.open ? anewSteps(state.value, props.about) : []))
const stepId = ref('')
const why = ref('')
const who = ref<'nobody' | 'away'>('nobody')
const to = ref('')
const way = ref('20')
const until = ref('')
interface WantedPart {
  partId: string
  name: string
  count: number
  isWanted: boolean
  until: string
}
const parts = ref<WantedPart[]>([])
const whole = ref(false)
const { problems, check } = useChecked(again['apart-again'])

watch(
  () => props.open,
  open => {
    if (!open) return
    stepId.value = steps.value[0]?.id ?? ''
    // Sentences of ours go on after it.
    why.value = props.because.replace(/\.$/, '')
    who.value = props.sentTo === undefined ? 'nobody' : 'away'
    to.value = props.sentTo ?? 'Machine shop'
    way.value = '20'
    until.value = ''
    whole.value = false
    problems.value = {}
  },
  { immediate: true },
)
const target = computed(() => steps.value.find(({ id }) => id === stepId.value))
watch(
  target,
  operation => {
    parts.value = Object.entries(operation?.parts ?? {}).map(([partId, count]) => ({
      partId,
      name: state.value.procedure!.parts.find(({ id }) => id === partId)?.name ?? partId,
      count,
      // Where nothing of it is in yet, its own are still to go in.
      isWanted: !!operation && (operation.id in state.value.done || isBegun(state.value, operation)),
      until: '',
    }))
  },
  { immediate: true },
)
const apart = computed(() => (stepId.value ? anewMinutes(state.value, stepId.value) : null))
const titleOf = (id: string) => t(stepTitle(state.value.procedure!, state.value.plan!, id))
const listed = computed(() =>
  [...(apart.value?.opens ?? []), ...(apart.value?.repeats ?? [])].slice(0, whole.value ? undefined : SHOWN),
)
const count = computed(() => (apart.value ? apart.value.opens.length + apart.value.repeats.length : 0))
const moment = (text: string) => (text ? new Date(text).toISOString() : null)

async function submit() {
  const before = store.ahead.plan!.totals.minutes
  const minutes = who.value === 'away' ? numbers.plain(way.value) : 0
  const taken = await check(
    {
      againId: `again-${newId()}`,
      stepId: stepId.value,
      because: why.value,
      troubleId: props.troubleId,
      opens: apart.value?.opens ?? [],
      repeats: apart.value?.repeats ?? [],
      away: who.value === 'away' ? { to: to.value, wayMinutes: minutes, until: moment(until.value) } : null,
      parts: parts.value
        .filter(({ isWanted }) => isWanted)
        .map(({ partId, name, count, until }) => ({ partId, name: t(name), count, until: moment(until) })),
      at: nowIso(),
      utcOffsetMinutes: utcOffsetMinutes(),
      asItStands: true,
    },
    payload => store.write('apart-again', payload),
    Number.isNaN(minutes) ? { away: 'Minutes, as a number.' } : {},
  )
  if (!taken) return
  const more = Math.round(store.ahead.plan!.totals.minutes - before)
  messages.say(
    `In the plan: ${titleOf(stepId.value)}, anew. ${more > 0 ? `The job takes ${minutesText(more)} longer: ${why.value}.` : 'The job takes no longer.'}`,
  )
  emit('planned')
  emit('close')
}
</script>

<template>
  <BaseDialog :open="open" title="It comes apart again" first="select" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="submit">
      <Field v-slot="{ control }" id="anew-step" label="Done anew" :problem="problems.stepId ?? ''"
        ><select v-bind="control" v-model="stepId" class="mt-1">
          <option v-for="step in steps" :key="step.id" :value="step.id">{{ t(step.title) }}</option>
        </select></Field
      >
      <div v-if="apart" class="border-l-4 border-rule pl-4" data-testid="comes-apart">
        <p v-if="count === 0">Nothing lies over it: it is done from where it stands.</p>
        <template v-else>
          <p>
            <span class="figure font-semibold">{{ apart.opens.length }}</span>
            {{ apart.opens.length === 1 ? 'step comes' : 'steps come' }} off once more,
            <span class="figure font-semibold">{{ apart.repeats.length }}</span> done
            {{ apart.repeats.length === 1 ? 'is' : 'are' }} to be done again:
            <span class="figure">{{ minutesText(apart.minutes) }}</span>.
          </p>
          <ol class="mt-1 text-quiet">
            <li v-for="id in listed" :key="id">{{ titleOf(id) }}</li>
          </ol>
          <button v-if="count > listed.length" type="button" class="min-h-11 underline" @click="whole = true">
            {{ count - listed.length }} more
          </button>
        </template>
      </div>
      <Field v-slot="{ control }" id="anew-why" label="Why" :problem="problems.because ?? ''"
        ><input v-bind="control" v-model="why" class="mt-1" maxlength="300"
      /></Field>
      <ChoiceRow
        v-model="who"
        label="Who works on it"
        :choices="[
          { id: 'nobody', label: 'We do, here' },
          { id: 'away', label: 'Somebody elsewhere' },
        ]"
      />
      <template v-if="who === 'away'">
        <div class="grid gap-3 sm:grid-cols-2">
          <Field v-slot="{ control }" id="anew-to" label="Where it goes"
            ><input v-bind="control" v-model="to" class="mt-1" maxlength="120"
          /></Field>
          <Field v-slot="{ control }" id="anew-way" label="Minutes one way" :problem="problems.away ?? ''"
            ><input v-bind="control" v-model="way" class="figure mt-1" inputmode="decimal"
          /></Field>
        </div>
        <Field v-slot="{ control }" id="anew-until" label="Back, if known"
          ><input v-bind="control" v-model="until" class="mt-1" type="datetime-local"
        /></Field>
      </template>
      <fieldset v-if="parts.length" class="grid gap-2">
        <legend class="label">New for it</legend>
        <div v-for="part in parts" :key="part.partId" class="flex flex-wrap items-center gap-x-4 gap-y-1">
          <label class="flex min-h-11 flex-1 basis-56 items-center gap-3"
            ><input v-model="part.isWanted" type="checkbox" class="size-6! min-h-0! w-6!" />
            <span
              ><span class="figure">{{ part.count }}</span> {{ t(part.name) }}</span
            ></label
          >
          <Field
            v-if="part.isWanted"
            v-slot="{ control }"
            :id="`anew-${part.partId}`"
            :label="`${t(part.name)}: here from`"
            hide-label
            ><input v-bind="control" v-model="part.until" class="figure w-56!" type="datetime-local"
          /></Field>
        </div>
        <p class="text-sm text-quiet">A day only where it is not here yet.</p>
      </fieldset>
      <p v-if="problems.form" class="text-danger" role="alert">{{ t(problems.form) }}</p>
      <p v-if="problems.opens || problems.repeats" class="text-danger" role="alert">
        {{ t(problems.opens ?? problems.repeats ?? '') }}
      </p>
      <div class="sticky -bottom-5 -mx-1 -mb-5 bg-paper px-1 pt-2 pb-5 sm:-bottom-7 sm:-mb-7 sm:pb-7">
        <button class="button button-main button-big w-full" :disabled="!stepId">Put it in the plan</button>
      </div>
    </form>
  </BaseDialog>
</template>
