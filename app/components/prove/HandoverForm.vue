<script setup lang="ts">
import { convert } from '../../../core/units'
import { momentText } from '../../words/moments'

const props = defineProps<{ missing: number }>()
const { store, state, path } = useJob()
const units = useUnits()
const to = ref(state.value.vehicle?.customer ?? '')
const odometer = ref('')
const odometerKm = ref<number | null>(null)
const doubt = ref(false)
const problem = ref('')

function submit() {
  if (doubt.value) {
    problem.value = 'Say first which of the two it is.'
    return
  }
  const km = odometer.value.trim() === '' ? null : odometerKm.value
  problem.value =
    odometer.value.trim() !== '' && km === null
      ? 'An odometer shows a number from 0 up.'
      : (store.attempt('handed-over', { to: to.value.trim(), odometerKm: km }) ?? '')
}
const kmOf = (value: number) => convert(value, units.preference.value.distance, 'km')
</script>

<template>
  <section class="grid gap-4">
    <h2 class="text-lg max-lg:hidden">Hand-over</h2>
    <template v-if="state.handedOver">
      <p>Handed over to {{ state.handedOver.to }}, {{ momentText(state.handedOver.at) }}.</p>
      <p class="text-quiet">Something wrong? Undo takes back one act at a time, the last one first.</p>
      <button class="button" @click="store.undo">Undo</button>
    </template>
    <form v-else class="grid gap-4" novalidate @submit.prevent="submit">
      <p v-if="props.missing">
        The car can be handed over when nothing is off any more, or when each open entry has a reason.
      </p>
      <p v-else>Nothing is off that should be on.</p>
      <Field v-slot="{ control }" id="handover-to" label="Handed to"
        ><input v-bind="control" v-model="to" class="mt-1" maxlength="120"
      /></Field>
      <NumberTyped
        id="handover-odometer"
        v-model="odometer"
        :label="`Odometer, ${units.preference.value.distance}`"
        :unit="units.preference.value.distance"
        :problem="problem"
        @read="
          value => {
            odometerKm = value === null ? null : kmOf(value)
          }
        "
        @doubt="
          unsure => {
            doubt = unsure
          }
        "
      />
      <button class="button button-main button-big" :disabled="props.missing > 0 || !to.trim()">
        Hand the car over
      </button>
    </form>
    <NuxtLink :to="path('handover')" class="button">Hand-over page</NuxtLink>
  </section>
</template>
