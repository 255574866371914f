<script setup lang="ts">
import type { RenewalLine } from '../../../core/job'

/** One part in reach on one row. */
const props = defineProps<{ line: RenewalLine; asked: boolean }>()
const emit = defineEmits<{ ask: []; chance: [chance: number] }>()
const t = useTerms()
const { money } = useMoney()
const percent = ref(Math.round(props.line.chance * 100))
/** A thumb is on it. */
const isHeld = ref(false)
watch(
  () => props.line.chance,
  chance => {
    if (!isHeld.value) percent.value = Math.round(chance * 100)
  },
)
function say() {
  isHeld.value = false
  emit('chance', percent.value / 100)
}
/** It is closed again, and nothing found it bad: there is nothing to weigh any more. */
const isOver = computed(() => props.line.barred !== null && !props.line.planned && props.line.foundBy.length === 0)
const says = computed(() => {
  const { line } = props
  if (line.planned) return { text: 'In the plan', tone: 'text-quiet' }
  if (isOver.value) return { text: 'Too late', tone: 'text-quiet' }
  if (line.decision) return { text: line.decision === 'renew' ? 'Renewed' : 'Left', tone: 'font-semibold' }
  if (line.foundBy.length) return { text: 'Must', tone: 'font-bold text-danger' }
  if (!line.answer) return { text: line.partCost === null ? 'Price?' : '…', tone: 'text-quiet' }
  return line.answer.advice === 'renew' ? { text: 'Renew', tone: 'font-bold text-good' } : { text: 'Leave', tone: '' }
})
const payFrom = (chance: number) => `${(chance * 100).toFixed(chance < 0.1 ? 1 : 0)}\u00a0%`
</script>

<template>
  <li
    class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 py-1 md:grid-cols-[minmax(0,1fr)_5rem_11rem_5rem_5rem_5.5rem]"
    :class="asked ? 'bg-tint' : ''"
    :data-testid="`reach-${line.part.id}`"
  >
    <button
      class="min-h-11 text-left font-semibold underline decoration-rule"
      :aria-expanded="asked"
      @click="emit('ask')"
    >
      {{ t(line.part.name) }}
    </button>
    <p class="md:order-last" :class="[says.tone, isOver ? 'md:col-start-6' : '']">{{ says.text }}</p>
    <p v-if="!isOver" class="text-right max-md:order-last max-md:text-left">
      <span class="text-quiet md:sr-only">now </span
      ><span class="figure">{{ line.answer ? money(line.answer.expectedNow) : '–' }}</span
      ><span class="md:hidden"
        ><span class="text-quiet">, later </span
        ><span class="figure">{{ line.answer ? money(line.answer.expectedLater) : '–' }}</span></span
      >
    </p>
    <p v-if="line.part.goesInNew && !isOver" class="text-quiet max-md:col-span-2">
      Goes in new, whatever it looks like
    </p>
    <p v-else-if="!isOver" class="flex items-center gap-2 max-md:col-span-2">
      <input
        v-model.number="percent"
        type="range"
        min="0"
        max="100"
        class="min-h-11 border-0! p-0! accent-action"
        :aria-label="`How sure ${t(line.part.name)} fails, in 100`"
        :aria-valuetext="`${percent} in 100`"
        @input="isHeld = true"
        @change="say"
      /><span class="figure w-14 shrink-0 text-right">{{ percent }}&nbsp;%</span>
    </p>
    <p v-if="!isOver" class="text-right max-md:order-last">
      <span class="text-quiet md:sr-only">pays from </span
      ><span class="figure">{{
        line.answer && !line.part.goesInNew
          ? line.answer.breakEvenChance > 1
            ? 'never'
            : payFrom(line.answer.breakEvenChance)
          : '–'
      }}</span>
    </p>
    <p v-if="!isOver" class="figure text-right max-md:hidden">
      <span class="sr-only">later </span>{{ line.answer ? money(line.answer.expectedLater) : '–' }}
    </p>
  </li>
</template>
