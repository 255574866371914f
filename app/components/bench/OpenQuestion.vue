<script setup lang="ts">
import type { RenewalLine } from '../../../core/job'
import { minutesText } from '../../words/durations'

/** What is put into the question of one part, why, both schools, and the decision. */
const numbers = useNumbers()
const props = defineProps<{ line: RenewalLine }>()
const emit = defineEmits<{
  weigh: [
    change: {
      partCost?: number | null
      minutesNow?: number | null
      minutesLater?: number | null
      comebackCost?: number
      newFails?: number
      yearsLater?: number
    },
  ]
  school: [optionId: string, choiceId: string]
}>()
const { store } = useJob()
const messages = useMessages()
const t = useTerms()
const garage = useGarageStore()
const { money, currency } = useMoney()
const { renew, sending } = useOptionSwitch()
const problem = ref('')
const chosenWay = ref(props.line.way ?? props.line.ways[0]?.choice ?? null)
watch(
  () => props.line.way ?? props.line.ways[0]?.choice ?? null,
  way => {
    chosenWay.value = way
  },
)
type Key = 'partCost' | 'minutesNow' | 'minutesLater' | 'comebackCost' | 'newFails' | 'yearsLater'
const fields = computed((): { key: Key; label: string; value: number | null }[] => [
  { key: 'partCost', label: `Part, ${currency.value}`, value: props.line.partCost },
  { key: 'minutesNow', label: 'Minutes more now', value: props.line.minutesNow },
  { key: 'minutesLater', label: 'Minutes to come back', value: props.line.minutesLater },
  { key: 'comebackCost', label: `A comeback costs beside, ${currency.value}`, value: props.line.comebackCost },
  { key: 'newFails', label: 'New ones that fail as early, of 100', value: props.line.newFails * 100 },
  { key: 'yearsLater', label: 'Years until the old one fails', value: props.line.yearsLater },
])
/** Fields that cannot be left open: empty, nothing. */
const MOST: Partial<Record<Key, number>> = { comebackCost: Infinity, newFails: 100, yearsLater: 50 }
function change(key: Key, text: string) {
  problem.value = ''
  const value = text.trim() === '' ? null : numbers.plain(text)
  if (value !== null && (!Number.isFinite(value) || value < 0)) {
    problem.value = `“${text}” is no amount.`
    return
  }
  const most = MOST[key]
  if (most !== undefined && (value ?? 0) > most) {
    problem.value = `${t(labelOf(key))}: ${most} at most.`
    return
  }
  const asked = most === undefined ? value : (value ?? 0)
  emit('weigh', { [key]: key === 'newFails' ? asked! / 100 : asked })
}
const labelOf = (key: Key) => fields.value.find(field => field.key === key)!.label
async function decide(decision: 'renew' | 'leave') {
  const { part } = props.line
  const before = store.ahead.plan!.totals.minutes
  const done = await renew(
    [{ part, decision, ...(decision === 'renew' && chosenWay.value ? { way: chosenWay.value } : {}) }],
    decision === 'renew' ? t(part.because) : 'Left for now; the customer was told.',
  )
  const more = Math.round(store.ahead.plan!.totals.minutes - before)
  if (!done || more === 0) return
  const steps = decision === 'renew' ? 'stand in the plan' : 'are out of the plan'
  messages.say(
    `${t(part.name)}: the job takes ${minutesText(Math.abs(more))} ${more > 0 ? 'longer' : 'less'}, and its steps ${steps}.`,
  )
}
/** The plan can do it another way, or leave it. */
const canLeave = computed(() => props.line.planned && props.line.part.option?.left !== undefined)
/** By how many hundredths what is paid then counts less. */
const less = computed(() => Math.round((1 - props.line.laterShare) * 100))
const isOther = computed(() => props.line.way !== null && chosenWay.value !== props.line.way)
const shownSteps = computed(() => props.line.steps.slice(0, 12))
const rounded = (value: number | null, key: string) =>
  value === null ? '' : key.startsWith('minutes') ? String(Math.round(value)) : String(Math.round(value * 100) / 100)
</script>

<template>
  <section class="grid gap-3">
    <h2 class="border-b border-ink pb-1 text-lg">{{ t(line.part.name) }}</h2>
    <p>{{ t(line.part.because) }}</p>
    <p v-if="line.foundBy.length" class="border-l-4 border-danger pl-3">
      Found bad on: {{ line.foundBy.map(title => t(title)).join(', ') }}.
    </p>
    <p v-if="line.answer" class="border-l-4 border-action pl-3">
      Now {{ money(line.answer.expectedNow) }}, later {{ money(line.answer.expectedLater) }} on average.
      {{ line.answer.advice === 'renew' ? 'Renewing it now is cheaper.' : 'Leaving it is cheaper.' }}
      <span v-if="less > 0"
        >What is paid later counts <span class="figure">{{ less }}&nbsp;%</span> less.</span
      >
    </p>
    <ChoiceRow
      v-if="line.ways.length > 1"
      v-model="chosenWay"
      label="How it is renewed"
      :choices="
        line.ways.map(way => ({
          id: way.choice,
          label: t(way.label),
          note: way.barred ? '' : `${Math.round(way.minutesNow)} min`,
          disabled: way.barred !== null && way.choice !== line.way,
        }))
      "
    />
    <p v-if="!line.planned && line.barred" class="border-l-4 border-attention pl-3">
      {{ t(line.barred) }}. To do it all the same, the car comes apart again: “Do it anew” in the plan.
    </p>
    <p v-if="line.planned">
      It is in the plan{{ line.minutesNow === null ? '' : `, with ${Math.round(line.minutesNow)} min of work` }}.
    </p>
    <div class="flex flex-wrap gap-2">
      <button
        v-if="(!line.planned && !line.barred) || isOther"
        class="button button-main flex-1"
        :disabled="sending"
        @click="decide('renew')"
      >
        {{ isOther ? 'Renew it this way' : 'Renew it' }}
      </button>
      <button v-if="!line.planned" class="button flex-1" :disabled="sending" @click="decide('leave')">Leave it</button>
      <button v-else-if="canLeave" class="button flex-1" :disabled="sending" @click="decide('leave')">
        Take it out of the plan
      </button>
    </div>
    <div class="grid grid-cols-2 items-end gap-3">
      <div v-for="field in fields" :key="field.key">
        <label class="label text-sm" :for="`weigh-${field.key}`">{{ field.label }}</label><input
          :id="`weigh-${field.key}`"
          class="figure mt-1 px-2!"
          inputmode="decimal"
          v-typed="rounded(field.value, field.key)"
          @change="change(field.key, ($event.target as HTMLInputElement).value)"
        />
      </div>
    </div>
    <p v-if="problem" class="text-danger" role="alert">{{ t(problem) }}</p>
    <section v-if="line.part.schools.length">
      <h3 class="label">Two schools</h3>
      <dl class="mt-1 grid gap-2">
        <div v-for="school in line.part.schools" :key="school.id">
          <dt class="font-semibold">
            {{ t(school.label)
            }}<span
              v-if="line.part.option && garage.garage?.schools[line.part.option.id] === school.id"
              class="tag ml-2 text-sm font-normal"
              >this garage</span
            >
          </dt>
          <dd>
            {{ t(school.because) }}
            <button
              v-if="line.part.option && garage.garage?.schools[line.part.option.id] !== school.id"
              class="min-h-11 underline"
              @click="emit('school', line.part.option!.id, school.id)"
            >
              Make it this garage’s way
            </button>
          </dd>
        </div>
      </dl>
    </section>
    <details v-if="line.steps.length">
      <summary class="min-h-11 cursor-pointer font-semibold">
        Coming back: <span class="figure">{{ minutesText(line.minutesLater ?? 0) }}</span>,
        {{ line.steps.length }} steps
      </summary>
      <ol class="list-decimal pl-6 text-sm">
        <li v-for="step in shownSteps" :key="step">{{ t(step) }}</li>
      </ol>
      <p v-if="line.steps.length > shownSteps.length" class="text-sm text-quiet">
        and {{ line.steps.length - shownSteps.length }} more
      </p>
    </details>
  </section>
</template>
