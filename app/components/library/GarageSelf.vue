<script setup lang="ts">
import { garageSettings } from '../../../contracts/jobs'

/** What the garage is called and where it is, as its papers say it. */
const garage = useGarageStore()
const { name, town, address, timeZone } = garage.garage!
const form = reactive({ name, town, address, timeZone })
const zones = Intl.supportedValuesOf('timeZone')
const here = Intl.DateTimeFormat().resolvedOptions().timeZone
const { problems, check } = useChecked(garageSettings)
const saved = ref('')
const fields = [
  { id: 'name', label: 'Name', max: 80 },
  { id: 'town', label: 'Town', max: 80 },
  { id: 'address', label: 'Street, telephone, as papers say it', max: 200 },
] as const

async function save() {
  saved.value = (await check({ ...form }, change => garage.change(change))) ? 'Kept.' : ''
}
</script>

<template>
  <section aria-labelledby="self-title">
    <h2 id="self-title" class="text-xl">This garage</h2>
    <form class="mt-3 grid max-w-xl gap-4" novalidate @submit.prevent="save">
      <p v-if="problems.form" class="text-danger" role="alert">{{ problems.form }}</p>
      <div v-for="field in fields" :key="field.id">
        <Field v-slot="{ control }" :id="`garage-${field.id}`" :label="field.label" :problem="problems[field.id]"
          ><input v-bind="control" v-model="form[field.id]" class="mt-1" :maxlength="field.max"
        /></Field>
      </div>
      <div>
        <Field
          v-slot="{ control }"
          id="garage-timeZone"
          label="Time zone, by which papers are dated"
          :problem="problems.timeZone ?? ''"
          ><input
            v-bind="control"
            v-model="form.timeZone"
            class="mt-1"
            list="time-zones"
            maxlength="60"
            autocomplete="off"
        /></Field>
        <datalist id="time-zones"><option v-for="zone in zones" :key="zone" :value="zone" /></datalist>
        <p v-if="form.timeZone !== here" class="mt-1">
          <button type="button" class="button" @click="form.timeZone = here">As this device: {{ here }}</button>
        </p>
      </div>
      <p class="flex items-center gap-4">
        <button class="button button-main">Keep this</button><span role="status">{{ saved }}</span>
      </p>
    </form>
  </section>
</template>
