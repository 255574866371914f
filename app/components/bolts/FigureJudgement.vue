<script setup lang="ts">
import {
  FieldError,
  frictionOf,
  jointOf,
  judgeSpec,
  loadJoint,
  threadConditions,
  unitSlip,
} from '../../../core/fasteners'
import type { FastenerFacts, ThreadCondition, TorqueUnit } from '../../../core/fasteners'
import { threadLabel } from '../../words/bolt-words'
import { specVerdicts } from '../../words/verdicts'

/** What a figure does to these bolts: verdict, sentence, picture; and the unit that was probably meant. */
const props = defineProps<{
  facts: FastenerFacts
  torqueNm: number
  condition?: ThreadCondition
  typed?: { value: number; unit: TorqueUnit }
  brief?: boolean
}>()
defineEmits<{ unit: [unit: TorqueUnit] }>()
const t = useTerms()
const units = useUnits()
const joint = computed(() => jointOf(props.facts, props.condition))
const judged = computed(() => {
  try {
    return judgeSpec({ ...joint.value, torqueNm: props.torqueNm })
  } catch (error) {
    if (error instanceof FieldError) return null
    throw error
  }
})
const verdict = computed(() => judged.value && specVerdicts[judged.value.verdict])
const slip = computed(() => (judged.value && props.typed ? unitSlip(joint.value, props.typed) : null))
/** The same torque on other threads. */
const others = computed(() => {
  const here = joint.value.condition ?? 'dry'
  const usual = loadJoint({ ...joint.value, torqueNm: props.torqueNm }).preloadN.usual
  return threadConditions
    .filter(id => id !== here && frictionOf(id))
    .map(id => {
      const change = loadJoint({ ...joint.value, condition: id, torqueNm: props.torqueNm }).preloadN.usual / usual - 1
      return `${threadLabel(id).toLowerCase()} ${change >= 0 ? '+' : '−'}${Math.abs(Math.round(change * 100))} %`
    })
})
const otherUnit = ({ unit, torqueNm }: { unit: TorqueUnit; torqueNm: number }) => {
  const { main, other } = units.torque(torqueNm)
  const shown = main.unit === unit ? other : main
  return `${shown.text} ${shown.unit}`
}
const tone = { good: 'border-good', attention: 'border-attention', danger: 'border-danger' }
</script>

<template>
  <div v-if="judged && verdict" class="border-l-4 pl-3" :class="tone[verdict.tone]" data-testid="judgement">
    <p>
      <span class="label">{{ verdict.name }}.</span> {{ t(judged.because) }}
    </p>
    <template v-if="!brief">
      <PreloadBar class="mt-2" :joint="joint" :torque-nm="torqueNm" />
      <p class="mt-1 text-sm text-quiet">The same torque pulls otherwise on another thread: {{ others.join(', ') }}.</p>
    </template>
    <p v-if="slip" class="mt-2" role="alert">
      <button type="button" class="button border-attention!" @click="$emit('unit', slip.unit)">
        Meant {{ typed!.value }} {{ slip.unit }}, which is {{ otherUnit(slip) }}?
      </button>
    </p>
  </div>
</template>
