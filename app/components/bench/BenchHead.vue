<script setup lang="ts">
import { viewOf } from '../../links/sheet-path'

/** The way back to the whole bench, and to the subject before and after. */
const { store, bench, path } = useBench()
const t = useTerms()
const router = useRouter()
const route = useRoute()
const subjects = computed(() => [
  ...bench.value.sheets
    .filter(sheet => viewOf(sheet) === 'bench')
    .map(sheet => ({ to: path(`bench/${sheet.id}`), name: t(sheet.title) })),
  { to: path('bench/open'), name: 'While it is open' },
  { to: path('bench/bolts'), name: 'Bolts: again or new' },
  { to: path('bench/parts'), name: 'Parts' },
  { to: path('bench/marks'), name: 'Which way round, and old parts' },
])
/** Ways on, and what lies side by side, belong to their sheet. */
const here = computed(() => route.path.replace(/\/(ways|beside)?$/, ''))
const place = computed(() => subjects.value.findIndex(subject => subject.to === here.value))
function step(by: 1 | -1) {
  const next = subjects.value[place.value + by]
  if (next) go(next.to)
}
useKeys({ '[': () => step(-1), ']': () => step(1) })
const go = (to: string) => {
  void router.push(to)
}
</script>

<template>
  <div class="flex flex-wrap items-end gap-2">
    <NuxtLink class="button" :to="path('bench')">Whole bench</NuxtLink>
    <div class="min-w-52 flex-1 basis-52">
      <Field v-slot="{ control }" id="bench-subject" label="Subject" hide-label
        ><select
          v-bind="control"
          class="font-semibold"
          :value="here"
          @change="go(($event.target as HTMLSelectElement).value)"
        >
          <option v-for="subject in subjects" :key="subject.to" :value="subject.to">{{ subject.name }}</option>
        </select></Field
      >
    </div>
    <button class="button max-sm:hidden" :disabled="place <= 0" @click="step(-1)">
      Before <span class="figure text-quiet">[</span>
    </button>
    <button class="button max-sm:hidden" :disabled="place + 1 >= subjects.length" @click="step(1)">
      Next <span class="figure text-quiet">]</span>
    </button>
    <button class="button" @click="store.undo">Undo</button>
  </div>
</template>
