<script setup lang="ts">
import type { StepView } from '../../../core/job'
import type { ReadingSpec } from '../../../core/packs'
import { convert } from '../../../core/units'
import type { UnitId } from '../../../core/units'
import { readEntry } from '../../lib/read-entry'

/** Takes the numbers a step asks for. They may be typed in any fitting unit and are kept in the pack's. */
const props = defineProps<{ open: boolean, step: StepView }>()
const emit = defineEmits<{ close: [] }>()
const { store } = useJob()
const t = useTerms()
const units = useUnits()
const numbers = useNumbers()
type NumberSpec = Extract<ReadingSpec, { kind: 'number' }>
const entered = ref<Record<string, string>>({})
const problems = ref<Record<string, string>>({})
/** What was chosen where the text may mean two numbers. */
const settled = ref<Record<string, { text: string, value: number }>>({})
const specs = computed(() => (props.step.operation?.readings ?? []).filter((spec): spec is NumberSpec => spec.kind === 'number'))
const known = (spec: NumberSpec) => ['mm', 'ml', 'km', 'kg', 'N', 'N·m', '°'].includes(spec.unit)

watch(() => props.open, () => {
  entered.value = Object.fromEntries(specs.value.map(spec => [spec.id, '']))
  problems.value = {}
  settled.value = {}
})
const inUnit = (spec: NumberSpec, value: number | undefined) => value === undefined || !known(spec) ? value : convert(value, spec.unit as UnitId, units.unitOf(spec.unit) as UnitId)
function doubts(spec: NumberSpec): number[] {
  const text = entered.value[spec.id] ?? ''
  if (text.trim() === '' || settled.value[spec.id]?.text === text) return []
  const found = numbers.read(text, { low: inUnit(spec, spec.low), high: inUnit(spec, spec.high) })
  return found.other === null ? [] : [found.value!, found.other]
}
function valueOf(spec: NumberSpec, text: string): number | null {
  const chosen = settled.value[spec.id]
  const typed = chosen?.text === text ? String(chosen.value) : text
  const value = readEntry(typed, spec.unit as never, { ...units.preference.value, ...(chosen?.text === text ? { numbers: 'point' as const } : {}) }).value
  return value === null ? null : Math.round(value * 1000) / 1000
}

function submit() {
  problems.value = {}
  const filled = specs.value.filter(spec => entered.value[spec.id]?.trim())
  for (const spec of filled) {
    if (doubts(spec).length > 0) problems.value[spec.id] = 'Say first which of the two it is.'
    else if (valueOf(spec, entered.value[spec.id]!) === null) problems.value[spec.id] = `“${entered.value[spec.id]}” is not a number${spec.unit ? ` in ${units.unitOf(spec.unit)}` : ''}.`
  }
  if (filled.length === 0) problems.value[specs.value[0]!.id] = 'Nothing is entered yet.'
  for (const spec of filled) {
    if (problems.value[spec.id]) continue
    const refusal = store.attempt('reading-taken', { stepId: props.step.id, readingId: spec.id, value: valueOf(spec, entered.value[spec.id]!)!, unit: spec.unit })
    if (refusal !== null) problems.value[spec.id] = units.sentence(t(refusal))
  }
  const [first] = Object.keys(problems.value)
  if (first === undefined) emit('close')
  else void nextTick(() => document.getElementById(`reading-${first}`)?.focus())
}
</script>

<template>
  <BaseDialog :open="open" title="Reading" @close="emit('close')">
    <form class="grid gap-5" novalidate @submit.prevent="submit">
      <div v-for="spec in specs" :key="spec.id">
        <label class="label" :for="`reading-${spec.id}`">{{ t(spec.name) }}{{ spec.unit ? `, ${units.unitOf(spec.unit)}` : '' }}</label>
        <input :id="`reading-${spec.id}`" v-model="entered[spec.id]" class="figure mt-1 text-2xl" inputmode="decimal" autocomplete="off" :aria-describedby="`problem-${spec.id}`" :aria-invalid="problems[spec.id] ? true : undefined">
        <p v-if="doubts(spec).length" class="mt-1 flex flex-wrap items-center gap-2" role="group" :aria-label="`${t(spec.name)}: which is it`">
          <span>Which is it?</span>
          <button v-for="value in doubts(spec)" :key="value" type="button" class="button border-attention!" @click="settled[spec.id] = { text: entered[spec.id]!, value }">{{ numbers.written(value) }} {{ units.unitOf(spec.unit) }}</button>
        </p>
        <p v-if="spec.about" class="mt-1 text-quiet">{{ t(spec.about) }}</p>
        <p :id="`problem-${spec.id}`" class="text-danger" role="alert">{{ problems[spec.id] }}</p>
      </div>
      <button class="button button-main button-big">Keep</button>
    </form>
  </BaseDialog>
</template>
