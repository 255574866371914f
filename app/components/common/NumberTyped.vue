<script setup lang="ts">
/** A number as it is typed: read by the garage's format, and asked about where it may mean two things. */
const props = defineProps<{
  id: string
  label: string
  unit?: string
  problem?: string
  low?: number
  high?: number
  placeholder?: string
}>()
const emit = defineEmits<{ read: [value: number | null]; doubt: [unsure: boolean] }>()
const text = defineModel<string>({ required: true })
const numbers = useNumbers()
const settled = ref<{ text: string; value: number } | null>(null)
const found = computed(() => numbers.read(text.value, { low: props.low, high: props.high }))
const unsure = computed(() => found.value.other !== null && settled.value?.text !== text.value)
const shown = (value: number) => [numbers.written(value), props.unit].filter(Boolean).join(' ')
watch(
  [found, settled],
  () => {
    emit(
      'read',
      text.value.trim() === '' ? null : settled.value?.text === text.value ? settled.value.value : found.value.value,
    )
    emit('doubt', unsure.value)
  },
  { immediate: true },
)
</script>

<template>
  <div>
    <Field
      v-slot="{ control }"
      :id="id"
      :label="label"
      :problem="problem || (text.trim() !== '' ? (found.problem ?? '') : '')"
      ><input
        v-bind="control"
        v-model="text"
        class="figure mt-1"
        inputmode="decimal"
        autocomplete="off"
        :placeholder="placeholder"
        :aria-invalid="problem || unsure ? true : undefined"
    /></Field>
    <p v-if="unsure" class="mt-1 flex flex-wrap items-center gap-2" role="group" :aria-label="`${label}: which is it`">
      <span>Which is it?</span>
      <button
        v-for="value in [found.value!, found.other!]"
        :key="value"
        type="button"
        class="button border-attention!"
        @click="settled = { text, value }"
      >
        {{ shown(value) }}
      </button>
    </p>
  </div>
</template>
