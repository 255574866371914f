<script setup lang="ts">
import type { VehicleAnswer } from '../../../contracts/answers'
import { newVehicle } from '../../../contracts/jobs'
import { isOfTheServer } from '../../device/fetch-kept'
import { newId } from '../../log/ids'

/** `isNew` where the server has not heard of it yet. */
const emit = defineEmits<{ added: [vehicle: VehicleAnswer, isNew: boolean] }>()
const numbers = useNumbers()
const id = newId()
const { problems, check } = useChecked(newVehicle)
const fields = [
  { name: 'name', label: 'How you call it' },
  { name: 'customer', label: 'Customer' },
  { name: 'make', label: 'Make' },
  { name: 'model', label: 'Model' },
  { name: 'year', label: 'Year' },
] as const
const entered = reactive({ name: '', customer: '', make: '', model: '', year: '' })
const forward = ref<string | null>('5')

function add() {
  const { year, ...rest } = entered
  const gears = [...Array.from({ length: Number(forward.value) }, (_, gear) => String(gear + 1)), 'R']
  void check({ id, ...rest, year: year.trim() === '' ? undefined : numbers.plain(year), gears }, async vehicle => {
    try {
      emit('added', await $fetch<VehicleAnswer>('/api/vehicles', { method: 'POST', body: vehicle }), false)
    } catch (error) {
      if (isOfTheServer(error)) throw error
      emit('added', vehicle, true)
    }
  })
}
</script>

<template>
  <form class="grid gap-3" novalidate @submit.prevent.stop="add">
    <Field
      v-for="{ name, label } in fields"
      :id="`vehicle-${name}`"
      :key="name"
      v-slot="{ control }"
      :label="label"
      :problem="problems[name] ?? ''"
      ><input
        v-bind="control"
        v-model="entered[name]"
        class="mt-1"
        autocomplete="off"
        :inputmode="name === 'year' ? 'numeric' : 'text'"
    /></Field>
    <ChoiceRow
      v-model="forward"
      label="Forward gears"
      :choices="['4', '5', '6', '7'].map(count => ({ id: count, label: count }))"
    />
    <p class="text-danger" role="alert">{{ problems.form }}</p>
    <button class="button button-main button-big">Add it</button>
  </form>
</template>
