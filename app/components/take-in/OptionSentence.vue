<script setup lang="ts">
import type { PackOption } from '../../../core/packs'

/** A plain sentence with a choice inside; the other choices say what they would cost. */
const props = defineProps<{ option: PackOption, differences: Record<string, number> }>()
const model = defineModel<string>({ required: true })
const t = useTerms()
const sentence = computed(() => t(props.option.sentence).replace(/\s*…\s*\.?$/, ' …'))
const about = computed(() => props.option.choices.find(choice => choice.id === model.value)?.about)

function note(choiceId: string): string {
  if (choiceId === model.value) return ''
  const minutes = props.differences[`${props.option.id}=${choiceId}`]
  if (minutes === undefined) return '…'
  const whole = Math.round(minutes)
  return whole === 0 ? '± 0 min' : `${whole > 0 ? '+' : '−'}${Math.abs(whole)} min`
}
</script>

<template>
  <div>
    <ChoiceRow :model-value="model" :label="sentence" :choices="option.choices.map(choice => ({ id: choice.id, label: t(choice.label), note: note(choice.id) }))" @update:model-value="choice => { model = choice! }" />
    <p v-if="about" class="mt-1 text-quiet">{{ t(about) }}</p>
  </div>
</template>
