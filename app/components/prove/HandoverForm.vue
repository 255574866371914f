<script setup lang="ts">
import { convert } from '../../../core/units'
import { momentText } from '../../lib/moments'

const props = defineProps<{ missing: number }>()
const { store, state, path } = useJob()
const units = useUnits()
const to = ref(state.value.vehicle?.customer ?? '')
const odometer = ref('')
const problem = ref('')

function submit() {
  const value = odometer.value.trim() === '' ? null : Number(odometer.value)
  if (value !== null && !(value >= 0)) {
    problem.value = 'An odometer shows a number from 0 up.'
    return
  }
  problem.value = ''
  store.write('handed-over', { to: to.value.trim(), odometerKm: value === null ? null : convert(value, units.preference.value.distance, 'km') })
}
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
      <p v-if="props.missing">The car can be handed over when nothing is off any more, or when each open entry has a reason.</p>
      <p v-else>Nothing is off that should be on.</p>
      <div><label class="label" for="handover-to">Handed to</label><input id="handover-to" v-model="to" class="mt-1" maxlength="120"></div>
      <div>
        <label class="label" for="handover-odometer">Odometer, {{ units.preference.value.distance }}</label>
        <input id="handover-odometer" v-model="odometer" class="figure mt-1" inputmode="numeric" autocomplete="off" aria-describedby="handover-problem">
        <p id="handover-problem" class="text-danger">{{ problem }}</p>
      </div>
      <button class="button button-main button-big" :disabled="props.missing > 0 || !to.trim()">Hand the car over</button>
    </form>
    <NuxtLink :to="path('handover')" class="button">Hand-over page</NuxtLink>
  </section>
</template>
