<script setup lang="ts">
import { garageSettings } from '../../../contracts/jobs'
import { darkOn } from '../../drawing/dark-on'
import { momentText } from '../../words/moments'

/** The garage's usual hours for new jobs, and where it works, for the hour of darkness. */
const t = useTerms()
const numbers = useNumbers()
const garage = useGarageStore()
const { problems, check } = useChecked(garageSettings)
/** Whatever is wrong first. */
const problem = computed(() => Object.values(problems.value)[0] ?? '')
const saved = ref('')
const { hours, location, trayTools = 0 } = garage.garage!
const usual = ref(hours ?? { fromMinute: 480, toMinute: 1080, weekdays: [1, 2, 3, 4, 5] })
const form = reactive({
  kept: hours !== null,
  tray: String(trayTools),
  latitude: location ? String(location.latitude) : '',
  longitude: location ? String(location.longitude) : '',
})
const dark = computed(() => (garage.garage?.location ? darkOn(new Date(), garage.garage.location) : null))
const degrees = (text: string) => (text.trim() === '' ? null : numbers.plain(text))

async function save() {
  saved.value = ''
  const entry = {
    hours: form.kept ? usual.value : null,
    trayTools: numbers.plain(form.tray),
    latitude: degrees(form.latitude),
    longitude: degrees(form.longitude),
  }
  if (await check(entry, change => garage.change(change))) saved.value = 'Kept.'
}
</script>

<template>
  <section aria-labelledby="hours-title">
    <h2 id="hours-title" class="text-xl">Hours and place</h2>
    <form class="mt-3 grid gap-4" novalidate @submit.prevent="save">
      <ChoiceRow
        label="New jobs are planned …"
        :model-value="form.kept ? 'hours' : 'through'"
        :choices="[
          { id: 'hours', label: 'in working hours' },
          { id: 'through', label: 'straight through' },
        ]"
        @update:model-value="
          way => {
            form.kept = way === 'hours'
          }
        "
      />
      <HoursFields v-if="form.kept" v-model="usual" name="usual" />
      <div class="flex flex-wrap items-end gap-3">
        <div class="w-44">
          <Field v-slot="{ control }" id="tray-tools" label="Tools on our tray"
            ><input v-bind="control" v-model="form.tray" inputmode="numeric" class="figure mt-1"
          /></Field>
        </div>
        <div class="w-36">
          <Field v-slot="{ control }" id="latitude" label="Degrees north"
            ><input v-bind="control" v-model="form.latitude" inputmode="decimal" class="figure mt-1"
          /></Field>
        </div>
        <div class="w-36">
          <Field v-slot="{ control }" id="longitude" label="Degrees east"
            ><input v-bind="control" v-model="form.longitude" inputmode="decimal" class="figure mt-1"
          /></Field>
        </div>
        <p v-if="dark" class="pb-3 text-quiet">
          Dark there today at <span class="figure text-ink">{{ momentText(dark) }}</span>.
        </p>
      </div>
      <p v-if="problem" class="text-danger" role="alert">{{ t(problem) }}</p>
      <p class="flex items-center gap-4">
        <button class="button button-main">Keep these</button><span role="status">{{ saved }}</span>
      </p>
    </form>
  </section>
</template>
