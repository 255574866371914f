<script setup lang="ts">
import { figureProblem } from '../../../core/fasteners'
import type { SourceKind } from '../../../core/fasteners'
import type { FastenerGroup } from '../../../core/packs'
import { convert, parseQuantity, UnitError } from '../../../core/units'
import { sourceLabels } from '../../lib/sources'

/** Names the figure of a fastener group together with its source. */
const props = defineProps<{ group: FastenerGroup }>()
const emit = defineEmits<{ named: [] }>()
const { store } = useJob()
const units = useUnits()
const value = ref('')
const unit = ref<'N·m' | 'lbf·ft' | 'lbf·in'>(units.preference.value.torque)
const sourceKind = ref<SourceKind | null>(null)
const reference = ref('')
const tried = ref(false)

const parsed = computed(() => {
  try {
    const quantity = parseQuantity(value.value, unit.value)
    return { torqueNm: convert(quantity.value, quantity.unit, 'N·m'), problem: null }
  }
  catch (error) {
    if (error instanceof UnitError) return { torqueNm: NaN, problem: error.message }
    throw error
  }
})
const problem = computed(() => parsed.value.problem
  ? { path: 'torqueNm', reason: parsed.value.problem }
  : figureProblem({ torqueNm: parsed.value.torqueNm, sourceKind: sourceKind.value as SourceKind, reference: reference.value }))
const problemOf = (path: string) => tried.value && problem.value?.path === path ? problem.value.reason : ''

function submit() {
  tried.value = true
  if (problem.value) return
  const torqueNm = Math.round(parsed.value.torqueNm * 100) / 100
  if (store.write('figure-named', { group: props.group.id, torqueNm, sourceKind: sourceKind.value!, reference: reference.value.trim() })) emit('named')
}
</script>

<template>
  <form class="grid gap-5" novalidate @submit.prevent="submit">
    <div>
      <label class="label" :for="`torque-${group.id}`">Torque</label>
      <div class="mt-1 flex gap-2">
        <input :id="`torque-${group.id}`" v-model="value" class="figure text-2xl" inputmode="decimal" autocomplete="off" :aria-invalid="!!problemOf('torqueNm')" :aria-describedby="`torque-problem-${group.id}`">
        <select v-model="unit" class="w-32!" aria-label="Unit"><option>N·m</option><option>lbf·ft</option><option>lbf·in</option></select>
      </div>
      <p :id="`torque-problem-${group.id}`" class="mt-1 min-h-6 text-danger">
        {{ problemOf('torqueNm') }}
        <span v-if="!problemOf('torqueNm') && parsed.torqueNm > 0" class="text-ink"><TorqueFigure :torque-nm="parsed.torqueNm" /></span>
      </p>
    </div>
    <div>
      <ChoiceRow v-model="sourceKind" label="It comes from" :choices="sourceLabels" />
      <p class="mt-1 min-h-6 text-danger">{{ problemOf('sourceKind') }}</p>
    </div>
    <div>
      <label class="label" :for="`reference-${group.id}`">Which book, sheet or person</label>
      <input :id="`reference-${group.id}`" v-model="reference" class="mt-1" autocomplete="off" :aria-invalid="!!problemOf('reference')">
      <p class="mt-1 min-h-6 text-danger">{{ problemOf('reference') }}</p>
    </div>
    <button class="button button-main button-big">Name this figure</button>
  </form>
</template>
