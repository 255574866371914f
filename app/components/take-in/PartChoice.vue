<script setup lang="ts">
import type { PackOption } from '../../../core/packs'
import type { Difference } from '../../../core/job'

/** One part in reach on one row: left, or renewed in one of its ways, each with the minutes that it adds. */
const props = defineProps<{ name: string; option: PackOption; differences: Record<string, Difference> }>()
const model = defineModel<string>({ required: true })
const t = useTerms()
const differenceTo = (choiceId: string) => props.differences[`${props.option.id}=${choiceId}`]
function labelOf({ id, label }: PackOption['choices'][number]): string {
  const difference = differenceTo(id)
  if (!difference || id === model.value) return t(label)
  if (difference.barred) return `${t(label)}: too late`
  const minutes = Math.round(difference.minutes)
  return minutes === 0 ? t(label) : `${t(label)}, ${minutes > 0 ? '+' : '−'}${Math.abs(minutes)} min`
}
const about = computed(() => props.option.choices.find(choice => choice.id === model.value)?.about)
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] items-center gap-x-3 py-1.5">
    <label :for="`part-${option.id}`" :class="model === option.default ? '' : 'font-semibold'">{{ name }}</label>
    <select :id="`part-${option.id}`" v-model="model">
      <option
        v-for="choice in option.choices"
        :key="choice.id"
        :value="choice.id"
        :disabled="!!differenceTo(choice.id)?.barred"
      >
        {{ labelOf(choice) }}
      </option>
    </select>
    <p v-if="about" class="col-span-2 text-sm text-quiet">{{ t(about) }}</p>
  </div>
</template>
