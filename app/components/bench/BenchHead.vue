<script setup lang="ts">
/** The way back to the whole bench, and to the subject before and after. */
const { store, bench, path } = useBench()
const t = useTerms()
const router = useRouter()
const route = useRoute()
const subjects = computed(() => [
  ...bench.value.sheets.filter(sheet => sheet.row !== 'pedal').map(sheet => ({ key: `sheet=${sheet.id}`, name: t(sheet.title), query: { sheet: sheet.id } as Record<string, string> })),
  ...[['open', 'While it is open'], ['bolts', 'Bolts: again or new'], ['parts', 'Parts'], ['marks', 'Which way round, and old parts']].map(([at, name]) => ({ key: `at=${at}`, name: name!, query: { at: at! } as Record<string, string> })),
])
const here = computed(() => route.query.at && route.query.at !== 'ways' ? `at=${String(route.query.at)}` : `sheet=${String(route.query.sheet)}`)
const place = computed(() => subjects.value.findIndex(subject => subject.key === here.value))
function step(by: 1 | -1) {
  const next = subjects.value[place.value + by]
  if (next) go(next.key)
}
useKeys({ '[': () => step(-1), ']': () => step(1) })
const go = (key: string) => { void router.push({ path: path('bench'), query: subjects.value.find(subject => subject.key === key)?.query ?? {} }) }
</script>

<template>
  <div class="flex flex-wrap items-end gap-2">
    <NuxtLink class="button" :to="path('bench')">Whole bench</NuxtLink>
    <div class="min-w-52 flex-1 basis-52">
      <label class="sr-only" for="bench-subject">Subject</label>
      <select id="bench-subject" class="font-semibold" :value="here" @change="go(($event.target as HTMLSelectElement).value)">
        <option v-for="subject in subjects" :key="subject.key" :value="subject.key">{{ subject.name }}</option>
      </select>
    </div>
    <button class="button max-sm:hidden" :disabled="place <= 0" @click="step(-1)">Before <span class="figure text-quiet">[</span></button>
    <button class="button max-sm:hidden" :disabled="place + 1 >= subjects.length" @click="step(1)">Next <span class="figure text-quiet">]</span></button>
    <button class="button" @click="store.undo">Undo</button>
  </div>
</template>
