<script setup lang="ts">
import { nowDate } from '../../device/clock'
import { addHours, set } from 'date-fns'
import type { Circumstances } from '../../../core/job'
import type { Skill, WorkingHours } from '../../../core/sequence'
import { localField } from '../../words/dates'

/** When work goes on and when somebody comes to help. A change has the plan worked out again. */
const emit = defineEmits<{ change: [change: Partial<Circumstances>] }>()
const { state } = useJob()
const garage = useGarageStore()
const problem = ref('')
const t = useTerms()
const circumstances = computed(() => state.value.circumstances)

/** Sizes of trays, the garage's own among them. */
const trays = computed(() =>
  [...new Set([0, 4, 8, 16, circumstances.value.trayTools ?? 0])]
    .sort((a, b) => a - b)
    .map(size => ({ id: String(size), label: size === 0 ? 'only those in hand' : `${size} on a tray` })),
)
const usual = computed(() => garage.garage?.hours ?? { fromMinute: 480, toMinute: 1080, weekdays: [1, 2, 3, 4, 5] })

function changeHours(hours: WorkingHours) {
  problem.value =
    hours.toMinute - hours.fromMinute < 15
      ? 'Working hours end after they begin.'
      : hours.weekdays.length === 0
        ? 'At least one day is worked.'
        : ''
  if (!problem.value) emit('change', { hours })
}

function comes() {
  const next = set(addHours(nowDate(), 2), { minutes: 0, seconds: 0, milliseconds: 0 })
  emit('change', { helper: { from: next.toISOString(), to: addHours(next, 2).toISOString() } })
}
function changeHelper(end: 'from' | 'to', text: string) {
  const helper = { ...circumstances.value.helper!, [end]: new Date(text).toISOString() }
  problem.value = helper.to <= helper.from ? 'The helper leaves before coming.' : ''
  if (!problem.value) emit('change', { helper })
}
</script>

<template>
  <section class="grid gap-5" aria-label="When">
    <PromiseLine />
    <div>
      <ChoiceRow
        label="Work goes on …"
        :model-value="circumstances.hours ? 'hours' : 'through'"
        :choices="[
          { id: 'through', label: 'straight through' },
          { id: 'hours', label: 'in working hours' },
        ]"
        @update:model-value="way => emit('change', { hours: way === 'hours' ? usual : null })"
      />
      <HoursFields
        v-if="circumstances.hours"
        name="hours"
        class="mt-3"
        :model-value="circumstances.hours"
        @update:model-value="changeHours"
      />
    </div>
    <ChoiceRow
      label="Whoever does it …"
      :model-value="circumstances.skill ?? 'has-done-it'"
      :choices="[
        { id: 'first-time', label: 'does it for the first time' },
        { id: 'has-done-it', label: 'has done it before' },
        { id: 'does-it-weekly', label: 'does it every week' },
      ]"
      @update:model-value="skill => emit('change', { skill: skill as Skill })"
    />
    <ChoiceRow
      label="Tools at hand at one place …"
      :model-value="String(circumstances.trayTools ?? 0)"
      :choices="trays"
      @update:model-value="size => emit('change', { trayTools: Number(size) })"
    />
    <div v-if="state.procedure!.hands === 1">
      <p class="label">A second pair of hands …</p>
      <div class="mt-2 flex flex-wrap items-end gap-3">
        <template v-if="circumstances.helper">
          <Field v-slot="{ control }" id="helper-from" label="comes"
            ><input
              v-bind="control"
              type="datetime-local"
              class="figure mt-1"
              v-typed="localField(new Date(circumstances.helper.from))"
              @change="changeHelper('from', ($event.target as HTMLInputElement).value)"
          /></Field>
          <Field v-slot="{ control }" id="helper-to" label="leaves"
            ><input
              v-bind="control"
              type="datetime-local"
              class="figure mt-1"
              v-typed="localField(new Date(circumstances.helper.to))"
              @change="changeHelper('to', ($event.target as HTMLInputElement).value)"
          /></Field>
          <button class="button" @click="emit('change', { helper: null })">Nobody comes</button>
        </template>
        <button v-else class="button" @click="comes">comes for a while</button>
      </div>
    </div>
    <AloneSteps @change="change => emit('change', change)" />
    <p v-if="problem" class="text-danger" role="alert">{{ t(problem) }}</p>
  </section>
</template>
