<script setup lang="ts">
import type { WorkingHours } from '../../../core/sequence'
import { clockText, minuteOfDay } from '../../words/clock-text'

/** From when to when, and on which days work goes on. `name` tells the fields of one form from those of another. */
const props = defineProps<{ name: string }>()
const model = defineModel<WorkingHours>({ required: true })
const days = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']

function change(part: Partial<WorkingHours>) {
  model.value = { ...model.value, ...part }
}
function toggle(day: number) {
  const { weekdays } = model.value
  change({ weekdays: weekdays.includes(day) ? weekdays.filter(other => other !== day) : [...weekdays, day].sort() })
}
const minuteIn = (event: Event) => minuteOfDay((event.target as HTMLInputElement).value)
</script>

<template>
  <div class="flex flex-wrap items-end gap-3">
    <Field v-slot="{ control }" :id="`${props.name}-from`" label="from"
      ><input
        v-bind="control"
        type="time"
        class="figure mt-1"
        v-typed="clockText(model.fromMinute)"
        @change="event => change({ fromMinute: minuteIn(event) })"
    /></Field>
    <Field v-slot="{ control }" :id="`${props.name}-to`" label="to"
      ><input
        v-bind="control"
        type="time"
        class="figure mt-1"
        v-typed="clockText(model.toMinute)"
        @change="event => change({ toMinute: minuteIn(event) })"
    /></Field>
    <div class="flex flex-wrap gap-1" role="group" aria-label="Days worked">
      <button
        v-for="(day, index) in days"
        :key="day"
        type="button"
        class="min-h-12 min-w-12 rounded-soft border-2 px-2"
        :aria-pressed="model.weekdays.includes(index)"
        :class="model.weekdays.includes(index) ? 'border-action bg-tint font-semibold' : 'border-line'"
        @click="toggle(index)"
      >
        {{ day }}
      </button>
    </div>
  </div>
</template>
