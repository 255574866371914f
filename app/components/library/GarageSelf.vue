<script setup lang="ts">
import { garageSettings } from '../../../contracts/jobs'
import { issuesOf } from '../../lib/reason-of'

/** What the garage is called and where it is, as its papers say it. */
const garage = useGarageStore()
const { name, town, address, timeZone } = garage.garage!
const form = reactive({ name, town, address, timeZone })
const zones = Intl.supportedValuesOf('timeZone')
const here = Intl.DateTimeFormat().resolvedOptions().timeZone
const problems = ref<Record<string, string>>({})
const saved = ref('')
const fields = [{ id: 'name', label: 'Name', max: 80 }, { id: 'town', label: 'Town', max: 80 }, { id: 'address', label: 'Street, telephone, as papers say it', max: 200 }] as const

async function save() {
  problems.value = {}
  saved.value = ''
  const change = garageSettings.safeParse({ ...form })
  const issues = change.success ? await garage.change(change.data).then(() => [], issuesOf) : change.error.issues.map(({ path, message }) => ({ path: String(path[0]), reason: message }))
  problems.value = Object.fromEntries(issues.map(({ path, reason }) => [path in form ? path : 'name', reason]))
  if (issues.length === 0) saved.value = 'Kept.'
  else void nextTick(() => document.querySelector<HTMLElement>('[aria-labelledby="self-title"] [aria-invalid=true]')?.focus())
}
</script>

<template>
  <section aria-labelledby="self-title">
    <h2 id="self-title" class="text-xl">This garage</h2>
    <form class="mt-3 grid max-w-xl gap-4" novalidate @submit.prevent="save">
      <div v-for="field in fields" :key="field.id">
        <label class="label" :for="`garage-${field.id}`">{{ field.label }}</label>
        <input :id="`garage-${field.id}`" v-model="form[field.id]" class="mt-1" :maxlength="field.max" :aria-invalid="problems[field.id] ? true : undefined" :aria-describedby="`garage-${field.id}-problem`">
        <p :id="`garage-${field.id}-problem`" class="text-danger" role="alert">{{ problems[field.id] }}</p>
      </div>
      <div>
        <label class="label" for="garage-timeZone">Time zone, by which papers are dated</label>
        <input id="garage-timeZone" v-model="form.timeZone" class="mt-1" list="time-zones" maxlength="60" autocomplete="off" :aria-invalid="problems.timeZone ? true : undefined" aria-describedby="garage-timeZone-problem">
        <datalist id="time-zones"><option v-for="zone in zones" :key="zone" :value="zone" /></datalist>
        <p v-if="form.timeZone !== here" class="mt-1"><button type="button" class="button" @click="form.timeZone = here">As this device: {{ here }}</button></p>
        <p id="garage-timeZone-problem" class="text-danger" role="alert">{{ problems.timeZone }}</p>
      </div>
      <p class="flex items-center gap-4"><button class="button button-main">Keep this</button><span role="status">{{ saved }}</span></p>
    </form>
  </section>
</template>
