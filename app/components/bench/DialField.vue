<script setup lang="ts">
import { checkDial, turnDeg } from '../../../core/alignment'
import type { DialValue } from '../../../core/bench'
import type { SheetField } from '../../../core/packs'
import { readEntry, shownEntry } from '../../words/read-entry'

/** Readings of a dial gauge round a circle: typed place by place, or taken by a gauge that speaks. */
const numbers = useNumbers()
const props = defineProps<{
  field: Extract<SheetField, { kind: 'dial' }>
  entries: DialValue[]
  /** The same with what is on its way to the disk: the next place follows on that. */
  ahead: DialValue[]
  name: string
  limitMm: number | null
}>()
const emit = defineEmits<{ take: [entry: DialValue]; keep: [entries: DialValue[]] }>()
const STEP_DEG = 45
const t = useTerms()
const units = useUnits()
const checked = computed(() =>
  checkDial(props.entries.map(({ angleDeg, value, entered }) => ({ angleDeg, heightMm: value, entered }))),
)
const markOf = (index: number) => checked.value.marks.find(mark => mark.index === index) ?? null
/** The next place: on by what the last two were apart. */
const nextAngle = computed(() => {
  const angles = props.ahead.flatMap(entry => entry.angleDeg ?? [])
  const step = angles.length > 1 ? angles.at(-1)! - angles.at(-2)! : STEP_DEG
  return angles.length === 0 ? 0 : angles.at(-1)! + (step > 0 ? step : STEP_DEG)
})
const angleText = ref('')
const heightText = ref('')
const heightInput = useTemplateRef('heightInput')
watch(
  nextAngle,
  angle => {
    angleText.value = String(Math.round((angle > 360 ? turnDeg(angle) : angle) * 10) / 10)
  },
  { immediate: true },
)

function enter() {
  if (heightText.value.trim() === '') return
  const angle = numbers.plain(angleText.value.replace('°', ''))
  emit('take', {
    ...readEntry(heightText.value, 'mm', units.preference.value),
    angleDeg: angleText.value.trim() === '' || !Number.isFinite(angle) ? null : angle,
  })
  heightText.value = ''
  heightInput.value?.focus()
}
const remove = (index: number) =>
  emit(
    'keep',
    props.entries.filter((_, place) => place !== index),
  )
const gauge = useGauge(
  () => t(props.field.name),
  (angleDeg, heightMm) =>
    emit('take', { entered: `${heightMm.toFixed(2)} mm`, value: Math.round(heightMm * 1000) / 1000, angleDeg }),
)
/** Typed in inches, a thou is what a dial shows. */
const unit = computed(() => units.preference.value.length)
</script>

<template>
  <fieldset class="min-w-0">
    <legend class="label">
      {{ t(field.name) }}<span class="figure font-normal text-quiet">, {{ unit }} on the dial</span>
    </legend>
    <p v-if="field.about" class="text-sm text-quiet">{{ t(field.about) }}</p>
    <div class="mt-2 grid gap-x-6 gap-y-4 sm:grid-cols-[minmax(0,1fr)_minmax(15rem,20rem)]">
      <div>
        <form class="flex flex-wrap items-end gap-2" novalidate @submit.prevent="enter">
          <div class="w-24">
            <label class="block text-sm text-quiet" :for="`${name}-angle`">at, degrees</label
            ><input
              :id="`${name}-angle`"
              v-model="angleText"
              class="figure px-2! text-lg"
              inputmode="decimal"
              autocomplete="off"
            />
          </div>
          <div class="w-32">
            <label class="block text-sm text-quiet" :for="`${name}-height`">dial shows</label
            ><input
              :id="`${name}-height`"
              ref="heightInput"
              v-model="heightText"
              class="figure px-2! text-lg"
              inputmode="decimal"
              autocomplete="off"
            />
          </div>
          <button class="button button-main">Take it</button>
        </form>
        <ol class="mt-3 grid gap-x-4 xl:grid-cols-2" data-testid="dial-readings">
          <li
            v-for="(entry, index) in entries"
            :key="index"
            class="flex items-center gap-2 border-b border-rule py-0.5"
          >
            <span class="figure w-16 text-quiet">{{
              entry.angleDeg === null ? 'where?' : `${Math.round(turnDeg(entry.angleDeg))}°`
            }}</span>
            <span
              class="figure flex-1 font-semibold"
              :class="markOf(index) && markOf(index)!.fault !== 'twice' ? 'text-danger line-through' : ''"
              >{{ shownEntry(entry, 'mm', units.preference.value) }}</span
            >
            <span
              v-if="markOf(index)"
              class="text-sm"
              :class="markOf(index)!.fault === 'twice' ? 'text-good' : 'text-danger'"
              aria-hidden="true"
              >{{ markOf(index)!.fault === 'twice' ? '✓' : '✕' }}</span
            >
            <button
              type="button"
              class="min-h-11 min-w-11 text-sm underline"
              :aria-label="`Take the reading at ${entry.angleDeg ?? 'no place'} out`"
              @click="remove(index)"
            >
              out
            </button>
          </li>
        </ol>
        <ul v-if="checked.marks.length" class="mt-2 text-sm">
          <li
            v-for="mark in checked.marks"
            :key="mark.index"
            :class="mark.fault === 'twice' ? 'text-quiet' : 'text-danger'"
          >
            <span class="figure">{{
              entries[mark.index]!.angleDeg === null
                ? shownEntry(entries[mark.index]!, 'mm', units.preference.value)
                : `${Math.round(turnDeg(entries[mark.index]!.angleDeg!))}°`
            }}</span>: {{ t(mark.reason) }}
          </li>
        </ul>
        <p v-if="entries.length && checked.tooFew" class="mt-2 text-sm text-attention">{{ checked.tooFew }}</p>
        <SpeakingTool
          :id="name"
          class="mt-3"
          what="A gauge that speaks"
          :tool="gauge"
          v-model:address="gauge.address.value"
          ><button type="button" class="button" @click="gauge.zero()">Zero</button></SpeakingTool
        >
      </div>
      <LazyPolarPlot v-if="checked.usable.length >= 3" :readings="checked.usable" :limit-mm="limitMm" />
      <p v-else class="self-center text-center text-quiet">
        After three places the picture begins; {{ 8 - Math.min(8, checked.usable.length) }} more are wanted for a
        verdict.
      </p>
    </div>
  </fieldset>
</template>
