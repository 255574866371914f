<script setup lang="ts">
import { useForm } from '@tanstack/vue-form'
import type { VehicleAnswer } from '../../../contracts/answers'
import { newVehicle } from '../../../contracts/jobs'
import { newId } from '../../lib/ids'
import { issuesOf } from '../../lib/reason-of'

const emit = defineEmits<{ added: [vehicle: VehicleAnswer] }>()
const numbers = useNumbers()
const id = newId()
const problems = ref<Record<string, string>>({})
const fields = [
  { name: 'name', label: 'How you call it' }, { name: 'customer', label: 'Customer' }, { name: 'make', label: 'Make' },
  { name: 'model', label: 'Model' }, { name: 'year', label: 'Year' },
] as const

const form = useForm({
  defaultValues: { name: '', customer: '', make: '', model: '', year: '', forward: '5' },
  onSubmit: async ({ value }) => {
    problems.value = {}
    const { forward, year, ...rest } = value
    const gears = [...Array.from({ length: Number(forward) }, (_, gear) => String(gear + 1)), 'R']
    const result = newVehicle.safeParse({ id, ...rest, year: year.trim() === '' ? undefined : numbers.plain(year), gears })
    if (!result.success) {
      problems.value = Object.fromEntries(result.error.issues.map(issue => [String(issue.path[0]), issue.message]))
      return
    }
    try {
      emit('added', await $fetch<VehicleAnswer>('/api/vehicles', { method: 'POST', body: result.data }))
    }
    catch (error) {
      problems.value = { form: issuesOf(error)[0]!.reason }
    }
  },
})
</script>

<template>
  <form class="grid gap-3" novalidate @submit.prevent.stop="form.handleSubmit()">
    <form.Field v-for="entry in fields" :key="entry.name" v-slot="{ field, state }" :name="entry.name">
      <div>
        <label class="label" :for="`vehicle-${entry.name}`">{{ entry.label }}</label>
        <input :id="`vehicle-${entry.name}`" class="mt-1" autocomplete="off" :inputmode="entry.name === 'year' ? 'numeric' : 'text'" :value="state.value" :aria-describedby="`vehicle-${entry.name}-problem`" @input="field.handleChange(($event.target as HTMLInputElement).value)">
        <p :id="`vehicle-${entry.name}-problem`" class="text-danger">{{ problems[entry.name] }}</p>
      </div>
    </form.Field>
    <form.Field v-slot="{ field, state }" name="forward">
      <ChoiceRow :model-value="state.value" label="Forward gears" :choices="['4', '5', '6', '7'].map(count => ({ id: count, label: count }))" @update:model-value="count => field.handleChange(count!)" />
    </form.Field>
    <p class="text-danger" role="alert">{{ problems.form }}</p>
    <button class="button button-main button-big">Add it</button>
  </form>
</template>
