<script setup lang="ts">
import type { StepView } from '../../../core/job'
import type { ReadingSpec } from '../../../core/packs'
import { convert } from '../../../core/units'
import type { UnitId } from '../../../core/units'
import { readEntry } from '../../words/read-entry'

/** Takes the numbers a step asks for. They may be typed in any fitting unit and are kept in the pack's. */
const props = defineProps<{ open: boolean; step: StepView }>()
const emit = defineEmits<{ close: [] }>()
const { store } = useJob()
const t = useTerms()
const units = useUnits()
const numbers = useNumbers()
type NumberSpec = Extract<ReadingSpec, { kind: 'number' }>
const entered = ref<Record<string, string>>({})
const { problems, allGood } = useProblems()
/** What was chosen where the text may mean two numbers. */
const settled = ref<Record<string, { text: string; value: number }>>({})
const specs = computed(() =>
  (props.step.operation?.readings ?? []).filter((spec): spec is NumberSpec => spec.kind === 'number'),
)
const known = (spec: NumberSpec) => ['mm', 'ml', 'km', 'kg', 'N', 'N·m', '°'].includes(spec.unit)

watch(
  () => props.open,
  () => {
    entered.value = Object.fromEntries(specs.value.map(spec => [spec.id, '']))
    problems.value = {}
    settled.value = {}
  },
)
const inUnit = (spec: NumberSpec, value: number | undefined) =>
  value === undefined || !known(spec) ? value : convert(value, spec.unit as UnitId, units.unitOf(spec.unit) as UnitId)
function doubts(spec: NumberSpec): number[] {
  const text = entered.value[spec.id] ?? ''
  if (text.trim() === '' || settled.value[spec.id]?.text === text) return []
  const found = numbers.read(text, { low: inUnit(spec, spec.low), high: inUnit(spec, spec.high) })
  return found.other === null ? [] : [found.value!, found.other]
}
function valueOf(spec: NumberSpec, text: string): number | null {
  const chosen = settled.value[spec.id]
  const typed = chosen?.text === text ? String(chosen.value) : text
  const value = readEntry(typed, spec.unit as never, {
    ...units.preference.value,
    ...(chosen?.text === text ? { numbers: 'point' as const } : {}),
  }).value
  return value === null ? null : Math.round(value * 1000) / 1000
}

function submit() {
  const filled = specs.value.filter(spec => entered.value[spec.id]?.trim())
  const found = filled.length === 0 ? { [specs.value[0]!.id]: 'Nothing is entered yet.' } : {}
  if (allGood({ ...found, ...Object.fromEntries(filled.map(spec => [spec.id, take(spec)])) })) emit('close')
}
/** Writes one reading down. @returns what keeps it from being one */
function take(spec: NumberSpec): string | null {
  const text = entered.value[spec.id]!
  if (doubts(spec).length > 0) return 'Say first which of the two it is.'
  const value = valueOf(spec, text)
  if (value === null) return `“${text}” is not a number${spec.unit ? ` in ${units.unitOf(spec.unit)}` : ''}.`
  return store.attempt('reading-taken', { stepId: props.step.id, readingId: spec.id, value, unit: spec.unit })
}
</script>

<template>
  <BaseDialog :open="open" title="Reading" @close="emit('close')">
    <form class="grid gap-5" novalidate @submit.prevent="submit">
      <div v-for="spec in specs" :key="spec.id">
        <Field
          v-slot="{ control }"
          :id="`reading-${spec.id}`"
          :label="`${t(spec.name)}${spec.unit ? `, ${units.unitOf(spec.unit)}` : ''}`"
          :problem="problems[spec.id] ?? ''"
          ><input
            v-bind="control"
            v-model="entered[spec.id]"
            class="figure mt-1 text-2xl"
            inputmode="decimal"
            autocomplete="off"
        /></Field>
        <p
          v-if="doubts(spec).length"
          class="mt-1 flex flex-wrap items-center gap-2"
          role="group"
          :aria-label="`${t(spec.name)}: which is it`"
        >
          <span>Which is it?</span>
          <button
            v-for="value in doubts(spec)"
            :key="value"
            type="button"
            class="button border-attention!"
            @click="settled[spec.id] = { text: entered[spec.id]!, value }"
          >
            {{ numbers.written(value) }} {{ units.unitOf(spec.unit) }}
          </button>
        </p>
        <p v-if="spec.about" class="mt-1 text-quiet">{{ t(spec.about) }}</p>
      </div>
      <button class="button button-main button-big">Keep</button>
    </form>
  </BaseDialog>
</template>
