<script setup lang="ts">
import { actualMinutes, notToBeLeftOut, notToBeTakenOver } from '../../../core/job'
import type { StepView } from '../../../core/job'
import { stepMinutes } from '../../../core/sequence/step-minutes'
import { stopwatch } from '../../words/durations'

/** The smaller things one can do at a step: note, timer, another step. */
const props = defineProps<{ step: StepView }>()
defineEmits<{ note: []; timer: []; other: []; way: []; none: []; keys: []; hand: [] }>()
const { state } = useJob()
const garage = useGarageStore()
const runs = computed(() => garage.can('work'))
const people = computed(() => garage.garage?.people ?? [])
const hasHelper = computed(() => people.value.some(({ role, gone }) => role === 'helper' && !gone))
const handedTo = computed(() => people.value.find(({ id }) => id === state.value.handed[props.step.id]))
const now = useSeconds()
const timer = computed(() => state.value.timers[props.step.id])
const elapsed = computed(() =>
  timer.value ? stopwatch(actualMinutes(state.value, props.step.id, now.value)! * 60) : null,
)
const notes = computed(() => state.value.notes.filter(note => note.stepId === props.step.id))
/** What puts something back cannot be left out, nor what the car is proved by. */
const canBeNone = computed(
  () => notToBeLeftOut(state.value, props.step.id) === null || notToBeTakenOver(state.value, [props.step.id]) === null,
)
const planned = computed(() => Math.round(stepMinutes(props.step.planned)))
</script>

<template>
  <div class="mt-5">
    <p v-if="handedTo" class="mb-2 font-semibold" data-testid="handed">
      {{ handedTo.id === garage.personId ? 'Handed to you.' : `With ${handedTo.name}.` }}
    </p>
    <p v-for="(note, index) in notes" :key="index" class="mb-2 border-l-4 border-rule pl-4 italic">{{ note.text }}</p>
    <div class="flex flex-wrap gap-2">
      <button class="button" @click="$emit('timer')">
        <span class="figure">{{ elapsed ?? '00:00' }}</span> {{ timer?.runningSince ? 'Stop timer' : 'Timer' }}
        <span class="text-sm text-quiet">of {{ planned }} min</span>
      </button>
      <button class="button" @click="$emit('note')">Note</button>
      <button class="button" @click="$emit('other')">Another step</button>
      <button v-if="runs && hasHelper" class="button" @click="$emit('hand')">Hand on</button>
      <button v-if="runs && step.operation" class="button" @click="$emit('way')">In the way</button>
      <button v-if="runs && canBeNone" class="button" @click="$emit('none')">Not for us</button>
      <button class="button max-sm:hidden" @click="$emit('keys')">Keys <span class="figure text-quiet">?</span></button>
    </div>
  </div>
</template>
