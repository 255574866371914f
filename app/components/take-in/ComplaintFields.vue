<script setup lang="ts">
import { pumpVerdict } from '../../../core/job'
import type { PumpResult } from '../../../core/job'
import type { Symptom } from '../../../core/packs'

/** What the car does: in the words of its layout, in the customer's, and by the pumped pedal where there is one. */
defineProps<{ known: Symptom[]; symptoms: string[]; pumps: boolean; problem?: string; pumpProblem?: string }>()
const emit = defineEmits<{ toggle: [id: string] }>()
const text = defineModel<string>('text', { required: true })
const result = defineModel<PumpResult>('result', { required: true })
const strokes = defineModel<string>('strokes', { required: true })
const numbers = useNumbers()
const t = useTerms()
const verdict = computed(() =>
  pumpVerdict(result.value, strokes.value.trim() === '' ? null : numbers.plain(strokes.value)),
)
</script>

<template>
  <section>
    <h2 class="text-2xl">What it does</h2>
    <div class="mt-3 flex flex-wrap gap-2" role="group" aria-label="Symptoms">
      <button
        v-for="symptom in known"
        :key="symptom.id"
        type="button"
        class="min-h-12 rounded-soft border-2 px-4 py-2"
        :aria-pressed="symptoms.includes(symptom.id)"
        :class="symptoms.includes(symptom.id) ? 'border-action bg-tint font-semibold' : 'border-line bg-sheet'"
        @click="emit('toggle', symptom.id)"
      >
        <span aria-hidden="true" class="figure mr-1">{{ symptoms.includes(symptom.id) ? '■' : '□' }}</span>{{
          t(symptom.label)
        }}
      </button>
    </div>
    <div class="mt-4 max-w-2xl">
      <Field v-slot="{ control }" id="complaint-text" label="In the customer’s words" :problem="problem ?? ''">
        <textarea v-bind="control" v-model="text" class="mt-1" maxlength="2000" />
      </Field>
    </div>
    <div v-if="pumps" class="mt-4 grid items-end gap-4 sm:grid-cols-[1fr_9rem]">
      <ChoiceRow
        :model-value="result"
        label="Pumped 15 to 20 times, the pedal"
        :choices="[
          { id: 'not-done', label: 'was not tried' },
          { id: 'no-change', label: 'stays as it is' },
          { id: 'rises', label: 'gets higher or firmer' },
        ]"
        @update:model-value="value => (result = value!)"
      />
      <div v-if="result !== 'not-done'">
        <Field v-slot="{ control }" id="strokes" label="Strokes" :problem="pumpProblem"
          ><input v-bind="control" v-model="strokes" class="figure mt-1" inputmode="numeric" autocomplete="off"
        /></Field>
      </div>
    </div>
    <p
      v-if="pumps"
      class="mt-3 border-l-4 pl-4 text-lg"
      :class="result === 'rises' ? 'border-attention' : 'border-rule'"
      aria-live="polite"
    >
      {{ verdict.text }}
    </p>
  </section>
</template>
