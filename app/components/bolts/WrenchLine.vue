<script setup lang="ts">
import { calibratedRange, chooseWrench, wrenchSetting } from '../../../core/fasteners'
import type { WrenchChoice } from '../../../core/fasteners'
import type { RunWrench } from '../../../core/job'

/** The wrench for a run out of those the garage owns, and what it is set to with an adapter on it. */
const props = defineProps<{ torqueNm: number }>()
const t = useTerms()
const chosen = defineModel<RunWrench | null>({ required: true })
const store = useWrenchStore()
const units = useUnits()
const adapter = ref(false)
const lengthMm = ref(40)
const angleDeg = ref(0)
const today = new Date().toISOString().slice(0, 10)
onMounted(() => {
  if (!store.wrenches) void store.load()
})
const inches = computed(() => units.preference.value.length === 'in')
const shownLength = computed({
  get: () => (inches.value ? Math.round((lengthMm.value / 25.4) * 100) / 100 : lengthMm.value),
  set: (value: number) => {
    lengthMm.value = inches.value ? value * 25.4 : value
  },
})
const problem = ref('')
const choice = computed((): WrenchChoice | null => {
  problem.value = ''
  try {
    return chooseWrench(
      store.wrenches ?? [],
      wrench =>
        wrenchSetting({
          targetNm: props.torqueNm,
          wrenchLengthMm: wrench.lengthMm,
          adapterLengthMm: adapter.value ? lengthMm.value : 0,
          adapterAngleDeg: angleDeg.value,
        }).settingNm,
      today,
    )
  } catch (error) {
    if (!(error instanceof RangeError)) throw error
    problem.value = 'reason' in error ? String(error.reason) : error.message
    return null
  }
})
watch(
  choice,
  found => {
    chosen.value = found && {
      id: found.wrench.id,
      name: found.wrench.name,
      overdue: found.overdue,
      lengthMm: found.wrench.lengthMm,
      adapterLengthMm: adapter.value ? lengthMm.value : 0,
      adapterAngleDeg: adapter.value ? angleDeg.value : 0,
    }
  },
  { immediate: true },
)
const range = computed(() => choice.value && calibratedRange(choice.value.wrench))
const shown = (nm: number) => {
  const figure = units.torque(nm).main
  return `${figure.text} ${figure.unit}`
}
</script>

<template>
  <section aria-label="Wrench" data-testid="wrench">
    <h2 class="label">Wrench</h2>
    <p v-if="store.problem" class="text-attention">{{ t(store.problem) }} The figure stands all the same.</p>
    <p v-else-if="!store.wrenches" class="text-quiet">Looking at the wrenches</p>
    <p v-else-if="choice">
      <span class="font-semibold">{{ choice.wrench.name }}</span>, {{ choice.wrench.drive }} in, calibrated
      <span class="figure whitespace-nowrap">{{ shown(range!.fromNm) }}</span> to
      <span class="figure whitespace-nowrap">{{ shown(range!.toNm) }}</span>.
      <template v-if="adapter"
        >With the adapter set it to <span class="figure font-bold">{{ shown(choice.settingNm) }}</span>.</template
      >
      <span v-if="choice.overdue" class="text-attention">
        Its calibration
        {{ choice.wrench.calibratedOn ? `of ${choice.wrench.calibratedOn} has run out` : 'is not known' }}.</span
      >
    </p>
    <p v-else-if="problem" class="text-danger" role="alert">{{ t(problem) }}</p>
    <p v-else-if="store.wrenches.length" class="text-attention">
      None of the garage’s wrenches covers this inside its calibrated range; below a fifth of its range a wrench only
      guesses. <NuxtLink to="/library#wrenches" class="underline">Wrenches</NuxtLink>
    </p>
    <p v-else class="text-quiet">
      The garage has no wrench on record.
      <NuxtLink to="/library#wrenches" class="underline">Add them in the Library</NuxtLink>, and the right one is named
      here.
    </p>
    <label v-if="store.wrenches?.length" class="flex min-h-12 items-center gap-3"
      ><input v-model="adapter" type="checkbox" class="size-6! min-h-0! w-6!" /> A crowfoot or adapter is on it</label
    >
    <div v-if="adapter" class="flex flex-wrap gap-3">
      <div class="w-40">
        <Field v-slot="{ control }" id="adapter-length" :label="`Its length, ${units.preference.value.length}`"
          ><input v-bind="control" v-model.number="shownLength" type="number" min="0" step="any" class="figure mt-1"
        /></Field>
      </div>
      <div class="w-40">
        <Field v-slot="{ control }" id="adapter-angle" label="Its angle, degrees"
          ><input v-bind="control" v-model.number="angleDeg" type="number" min="-180" max="180" class="figure mt-1"
        /></Field>
      </div>
      <p class="self-end pb-3 text-sm text-quiet">0 straight out, 90 square: no change.</p>
    </div>
  </section>
</template>
