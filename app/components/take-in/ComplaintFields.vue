<script setup lang="ts">
import { pumpVerdict } from '../../../core/job'
import type { PumpResult } from '../../../core/job'
import { symptomLabels } from '../../lib/symptoms'

const props = defineProps<{ symptoms: string[], text: string, result: PumpResult, strokes: string, problem?: string, pumpProblem?: string }>()
const emit = defineEmits<{ toggle: [id: string], text: [text: string], result: [result: PumpResult], strokes: [strokes: string] }>()
const numbers = useNumbers()
const verdict = computed(() => pumpVerdict(props.result, props.strokes.trim() === '' ? null : numbers.plain(props.strokes)))
</script>

<template>
  <section>
    <h2 class="text-2xl">What it does</h2>
    <div class="mt-3 flex flex-wrap gap-2" role="group" aria-label="Symptoms">
      <button
        v-for="symptom in symptomLabels" :key="symptom.id" type="button" class="min-h-12 rounded-soft border-2 px-4 py-2" :aria-pressed="symptoms.includes(symptom.id)"
        :class="symptoms.includes(symptom.id) ? 'border-action bg-tint font-semibold' : 'border-line bg-sheet'" @click="emit('toggle', symptom.id)"
      >
        <span aria-hidden="true" class="figure mr-1">{{ symptoms.includes(symptom.id) ? '■' : '□' }}</span>{{ symptom.label }}
      </button>
    </div>
    <div class="mt-4 max-w-2xl">
      <label class="label" for="complaint-text">In the customer’s words</label>
      <textarea id="complaint-text" class="mt-1" maxlength="2000" :value="text" @input="emit('text', ($event.target as HTMLTextAreaElement).value)" aria-describedby="complaint-problem" />
      <p id="complaint-problem" class="text-danger" role="alert">{{ problem }}</p>
    </div>
    <div class="mt-4 grid items-end gap-4 sm:grid-cols-[1fr_9rem]">
      <ChoiceRow
        :model-value="result" label="Pumped 15 to 20 times, the pedal"
        :choices="[{ id: 'not-done', label: 'was not tried' }, { id: 'no-change', label: 'stays as it is' }, { id: 'rises', label: 'gets higher or firmer' }]"
        @update:model-value="value => emit('result', value!)"
      />
      <div v-if="result !== 'not-done'">
        <label class="label" for="strokes">Strokes</label>
        <input id="strokes" class="figure mt-1" inputmode="numeric" autocomplete="off" :value="strokes" @input="emit('strokes', ($event.target as HTMLInputElement).value)" aria-describedby="strokes-problem">
        <p id="strokes-problem" class="text-danger" role="alert">{{ pumpProblem }}</p>
      </div>
    </div>
    <p class="mt-3 border-l-4 pl-4 text-lg" :class="result === 'rises' ? 'border-attention' : 'border-rule'" aria-live="polite">{{ verdict.text }}</p>
  </section>
</template>
