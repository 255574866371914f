<script setup lang="ts">
import { placeOf, stanceOf } from '../../../core/packs'
import type { Procedure } from '../../../core/packs'
import { stepMinutes } from '../../../core/sequence'
import type { Plan } from '../../../core/sequence'
import { minutesText } from '../../words/durations'

/** The plan in words: trip by trip, step by step. A step that has the focus is moved with Alt and an arrow, pinned with P. */
const props = defineProps<{
  plan: Plan
  procedure: Procedure
  done: Set<string>
  pinned: Set<string>
  asked: string | null
  next: string | null
  titleOf: (id: string) => string
}>()
const emit = defineEmits<{
  point: [stepId: string]
  ask: [stepId: string]
  shift: [stepId: string, by: 1 | -1]
  pin: [stepId: string]
}>()
const steps = computed(() => new Map(props.plan.steps.map(step => [step.id, step])))

function minutesOf(id: string): string {
  const step = steps.value.get(id)!
  return String(Math.round(stepMinutes(step)) || '<1')
}
function press(event: KeyboardEvent, stepId: string) {
  if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown'))
    emit('shift', stepId, event.key === 'ArrowUp' ? -1 : 1)
  else if (event.key.toLowerCase() === 'p' && !event.ctrlKey && !event.metaKey && !event.altKey) emit('pin', stepId)
  else return
  event.preventDefault()
  moved = stepId
}
let moved = ''
// A row that is drawn elsewhere loses the focus, which goes with it.
watch(
  () => props.plan,
  () => {
    if (document.activeElement === document.body) document.querySelector<HTMLElement>(`[data-row="${moved}"]`)?.focus()
  },
  { flush: 'post' },
)
</script>

<template>
  <ol class="print:columns-2 print:gap-6 print:text-[8pt] print:leading-[1.1]">
    <li v-for="(trip, index) in plan.trips" :key="index" class="border-t-2 border-ink py-3 print:border-t print:py-0.5">
      <p class="flex flex-wrap items-center gap-x-3 gap-y-1">
        <PlaceTag :at="placeOf(procedure, trip.place)" class="print:[&>span]:py-0" />
        <span>{{ stanceOf(procedure, trip.car).name }}</span>
        <span class="figure ml-auto">{{ minutesText(trip.minutes) }}</span>
      </p>
      <ul class="mt-1">
        <li v-for="stepId in trip.stepIds" :key="stepId">
          <p
            v-if="steps.get(stepId)!.waitMinutes >= 1"
            class="border-l-4 border-attention py-1 pl-3 text-attention print:border-l-2 print:py-0 print:pl-1"
          >
            Waits {{ minutesText(steps.get(stepId)!.waitMinutes) }}. {{ steps.get(stepId)!.waitBecause }}
          </p>
          <button
            class="flex min-h-11 w-full items-center gap-3 border-l-4 py-1 pl-3 text-left hover:bg-tint print:min-h-0 print:break-inside-avoid print:gap-1 print:border-0 print:p-0"
            :data-row="stepId"
            :data-testid="`row-${stepId}`"
            :class="[
              asked === stepId ? 'border-action bg-tint' : next === stepId ? 'border-ink' : 'border-transparent',
              done.has(stepId) ? 'text-quiet' : '',
            ]"
            :aria-pressed="asked === stepId"
            @click="emit('ask', stepId)"
            @focus="event => (event.target as HTMLElement).matches(':focus-visible') && emit('point', stepId)"
            @keydown="event => press(event, stepId)"
          >
            <span class="figure w-5" aria-hidden="true">{{ done.has(stepId) ? '✓' : next === stepId ? '▸' : '' }}</span>
            <span class="flex-1">{{ titleOf(stepId) }}<span v-if="done.has(stepId)" class="sr-only">, done</span></span>
            <span v-if="pinned.has(stepId)" class="tag text-sm">pinned</span>
            <span
              v-if="steps.get(stepId)!.shortHanded"
              class="tag border-attention text-sm text-attention print:border-0 print:p-0 print:text-[8pt]"
              >wants two</span
            >
            <span class="figure text-sm print:text-[8pt]">{{ minutesOf(stepId) }} min</span>
          </button>
        </li>
      </ul>
    </li>
  </ol>
</template>
