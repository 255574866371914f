<script setup lang="ts">
import { garageSettings } from '../../../contracts/jobs'
import { darkToday } from '../../lib/dark-today'
import { momentText } from '../../lib/moments'
import { issuesOf } from '../../lib/reason-of'

/** The garage's usual hours for new jobs, and where it works, for the hour of darkness. */
const numbers = useNumbers()
const garage = useGarageStore()
const problem = ref('')
const saved = ref('')
const { hours, location } = garage.garage!
const usual = ref(hours ?? { fromMinute: 480, toMinute: 1080, weekdays: [1, 2, 3, 4, 5] })
const form = reactive({ kept: hours !== null, latitude: location ? String(location.latitude) : '', longitude: location ? String(location.longitude) : '' })
const dark = computed(() => garage.garage?.location ? darkToday(garage.garage.location, new Date()) : null)
const degrees = (text: string) => text.trim() === '' ? null : numbers.plain(text)

async function save() {
  problem.value = ''
  saved.value = ''
  const change = garageSettings.safeParse({
    hours: form.kept ? usual.value : null,
    latitude: degrees(form.latitude), longitude: degrees(form.longitude),
  })
  if (!change.success) {
    problem.value = change.error.issues[0]!.message
    return
  }
  try {
    await garage.change(change.data)
    saved.value = 'Kept.'
  }
  catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
</script>

<template>
  <section aria-labelledby="hours-title">
    <h2 id="hours-title" class="text-xl">Hours and place</h2>
    <form class="mt-3 grid gap-4" novalidate @submit.prevent="save">
      <ChoiceRow label="New jobs are planned …" :model-value="form.kept ? 'hours' : 'through'" :choices="[{ id: 'hours', label: 'in working hours' }, { id: 'through', label: 'straight through' }]" @update:model-value="way => { form.kept = way === 'hours' }" />
      <HoursFields v-if="form.kept" v-model="usual" name="usual" />
      <div class="flex flex-wrap items-end gap-3">
        <div class="w-36"><label class="label" for="latitude">Degrees north</label><input id="latitude" v-model="form.latitude" inputmode="decimal" class="figure mt-1"></div>
        <div class="w-36"><label class="label" for="longitude">Degrees east</label><input id="longitude" v-model="form.longitude" inputmode="decimal" class="figure mt-1"></div>
        <p v-if="dark" class="pb-3 text-quiet">Dark there today at <span class="figure text-ink">{{ momentText(dark) }}</span>.</p>
      </div>
      <p v-if="problem" class="text-danger" role="alert">{{ problem }}</p>
      <p class="flex items-center gap-4"><button class="button button-main">Keep these</button><span role="status">{{ saved }}</span></p>
    </form>
  </section>
</template>
