<script setup lang="ts">
import type { StepView } from '../../../core/job'
import type { ReadingSpec } from '../../../core/packs'
import { convert, parseQuantity, UnitError } from '../../../core/units'
import type { UnitId } from '../../../core/units'

/** Takes the readings a step asks for. Numbers may be typed in any fitting unit and are kept in the pack's. */
const props = defineProps<{ open: boolean, step: StepView }>()
const emit = defineEmits<{ close: [] }>()
const { store } = useJob()
const t = useTerms()
const units = useUnits()
const entered = ref<Record<string, string | null>>({})
const problems = ref<Record<string, string>>({})
const specs = computed(() => props.step.operation?.readings ?? [])
const assumed = (unit: string): UnitId => unit === 'mm' ? units.preference.value.length : unit as UnitId

watch(() => props.open, () => {
  entered.value = Object.fromEntries(specs.value.map(spec => [spec.id, null]))
  problems.value = {}
})

function valueOf(spec: ReadingSpec, text: string): { value: number | string, unit: string | null } {
  if (spec.kind === 'choice') return { value: text, unit: null }
  const { value, unit } = parseQuantity(text, assumed(spec.unit))
  return { value: Math.round(convert(value, unit, spec.unit) * 1000) / 1000, unit: spec.unit }
}

function submit() {
  problems.value = {}
  const taken = specs.value.flatMap((spec) => {
    const text = entered.value[spec.id]
    if (!text) return []
    try {
      return [{ stepId: props.step.id, readingId: spec.id, ...valueOf(spec, text) }]
    }
    catch (error) {
      if (!(error instanceof UnitError)) throw error
      problems.value[spec.id] = error.message
      return []
    }
  })
  if (Object.keys(problems.value).length > 0) return
  if (taken.length === 0) {
    problems.value[specs.value[0]!.id] = 'Nothing is entered yet.'
    return
  }
  if (taken.every(reading => store.write('reading-taken', reading))) emit('close')
}
</script>

<template>
  <BaseDialog :open="open" title="Reading" @close="emit('close')">
    <form class="grid gap-5" novalidate @submit.prevent="submit">
      <div v-for="spec in specs" :key="spec.id">
        <ChoiceRow v-if="spec.kind === 'choice'" v-model="entered[spec.id]!" :label="t(spec.name)" :choices="spec.choices.map(choice => ({ id: choice, label: choice }))" />
        <template v-else>
          <label class="label" :for="`reading-${spec.id}`">{{ t(spec.name) }}, {{ assumed(spec.unit) }}</label>
          <input :id="`reading-${spec.id}`" v-model="entered[spec.id]" class="figure mt-1 text-2xl" inputmode="decimal" autocomplete="off" :aria-describedby="`problem-${spec.id}`">
        </template>
        <p v-if="spec.about" class="mt-1 text-quiet">{{ t(spec.about) }}</p>
        <p :id="`problem-${spec.id}`" class="text-danger">{{ problems[spec.id] }}</p>
      </div>
      <button class="button button-main button-big">Keep</button>
    </form>
  </BaseDialog>
</template>
