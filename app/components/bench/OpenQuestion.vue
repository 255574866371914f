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
    },
  ]
  school: [optionId: string, choiceId: string]
}>()
const { store, state } = useJob()
const t = useTerms()
const garage = useGarageStore()
const { money, currency } = useMoney()
const { choose, sending } = useOptionSwitch()
const problem = ref('')
const fields = computed(() => [
  { key: 'partCost' as const, label: `Part, ${currency.value}`, value: props.line.partCost },
  { key: 'minutesNow' as const, label: 'Minutes more now', value: props.line.minutesNow },
  { key: 'minutesLater' as const, label: 'Minutes to come back', value: props.line.minutesLater },
  { key: 'comebackCost' as const, label: `A comeback costs beside, ${currency.value}`, value: props.line.comebackCost },
])
function change(key: 'partCost' | 'minutesNow' | 'minutesLater' | 'comebackCost', text: string) {
  problem.value = ''
  const value = text.trim() === '' ? null : numbers.plain(text)
  if (value !== null && (!Number.isFinite(value) || value < 0)) {
    problem.value = `“${text}” is no amount.`
    return
  }
  emit('weigh', key === 'comebackCost' ? { comebackCost: value ?? 0 } : { [key]: value })
}
async function decide(decision: 'renew' | 'leave') {
  const { part } = props.line
  const offered = part.option && part.option.id in state.value.procedure!.options
  if (decision === 'renew' && offered && !props.line.planned && !(await choose(part.option!.id, part.option!.choice)))
    return
  store.write('renewal-decided', {
    decisions: [{ partId: part.id, decision }],
    because: decision === 'renew' ? t(part.because) : 'Left for now; the customer was told.',
  })
}
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
    </p>
    <div class="grid grid-cols-2 gap-3">
      <div v-for="field in fields" :key="field.key">
        <label class="label text-sm" :for="`weigh-${field.key}`">{{ field.label }}</label><input
          :id="`weigh-${field.key}`"
          class="figure mt-1 px-2!"
          inputmode="decimal"
          :value="rounded(field.value, field.key)"
          @change="change(field.key, ($event.target as HTMLInputElement).value)"
        />
      </div>
    </div>
    <p v-if="problem" class="text-danger" role="alert">{{ t(problem) }}</p>
    <div v-if="!line.planned" class="flex gap-2">
      <button class="button button-main flex-1" :disabled="sending" @click="decide('renew')">Renew it</button>
      <button class="button flex-1" :disabled="sending" @click="decide('leave')">Leave it</button>
    </div>
    <p v-else class="text-quiet">The plan renews it already.</p>
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
