<script setup lang="ts">
import type { PackOption } from '../../../core/packs'
import type { Difference } from '../../../core/job'

/** A plain sentence with a choice inside; the other choices say what they would change. */
const props = defineProps<{ option: PackOption; differences: Record<string, Difference>; pending?: boolean }>()
const model = defineModel<string>({ required: true })
const t = useTerms()
const sentence = computed(() => t(props.option.sentence).replace(/\s*…\s*\.?$/, ' …'))
const about = computed(() => props.option.choices.find(choice => choice.id === model.value)?.about)

const signed = (value: number, word: string) =>
  value === 0 ? '' : `${value > 0 ? '+' : '−'}${Math.abs(value)} ${word}`

function note(choiceId: string): string {
  if (choiceId === model.value) return ''
  const difference = props.differences[`${props.option.id}=${choiceId}`]
  if (!difference) return props.pending ? '…' : ''
  if (difference.barred) return ''
  const minutes = Math.round(difference.minutes)
  const trips = signed(difference.trips, Math.abs(difference.trips) === 1 ? 'trip' : 'trips')
  return [minutes === 0 ? '± 0 min' : signed(minutes, 'min'), trips].filter(Boolean).join(', ')
}

/** Parts that the other choices would want more or less of. */
const partNotes = computed(() =>
  props.option.choices.flatMap(choice => {
    const difference = props.differences[`${props.option.id}=${choice.id}`]
    if (!difference || choice.id === model.value) return []
    if (difference.barred) return [`${t(choice.label)}: ${t(difference.barred)}`]
    const parts = difference.parts.map(part => `${part.count > 0 ? '+' : '−'}${Math.abs(part.count)} ${t(part.name)}`)
    return parts.length ? [`${t(choice.label)}: ${parts.join(', ')}`] : []
  }),
)
</script>

<template>
  <div>
    <ChoiceRow
      :model-value="model"
      :label="sentence"
      :choices="
        option.choices.map(choice => ({
          id: choice.id,
          label: t(choice.label),
          note: note(choice.id),
          disabled: !!differences[`${option.id}=${choice.id}`]?.barred,
        }))
      "
      @update:model-value="
        choice => {
          model = choice!
        }
      "
    />
    <p v-if="about || option.school" class="mt-1 text-quiet">
      <span v-if="option.school" class="tag mr-2 text-sm text-ink">two schools</span>{{ about ? t(about) : '' }}
    </p>
    <p v-for="line in partNotes" :key="line" class="text-sm text-quiet">{{ line }}</p>
  </div>
</template>
