<script setup lang="ts">
import { checkFacts, FieldError, parseThread, propertyClasses } from '../../../core/fasteners'
import type { FastenerFacts, ThreadCondition, ThreadMaterial } from '../../../core/fasteners'
import type { FastenerGroup } from '../../../core/packs'
import { convert, parseQuantity, UnitError } from '../../../core/units'
import { materialLabels, threadLabels } from '../../lib/bolt-words'

/** What the bolts of a group are and what they go into; by this every figure is judged. */
const props = defineProps<{ group: FastenerGroup }>()
const emit = defineEmits<{ done: [] }>()
const { store, state } = useJob()
const t = useTerms()
const units = useUnits()
const numbers = useNumbers()
const lengthUnit = computed(() => units.preference.value.length)
const shown = (mm: number | undefined) => mm === undefined ? '' : String(Math.round(convert(mm, 'mm', lengthUnit.value) * 1000) / 1000)
const known = state.value.fasteners[props.group.id]
const fromBoard = state.value.boards[props.group.id]?.bolts.find(bolt => bolt.thread)
const form = reactive({
  thread: known?.thread ?? fromBoard?.thread ?? '', propertyClass: known?.propertyClass ?? '', condition: known?.condition ?? 'dry' as ThreadCondition,
  material: known?.material ?? fromBoard?.material ?? '' as ThreadMaterial | '', engagement: shown(known?.engagementMm), clamp: shown(known?.clampMm),
})
const problem = ref<{ path: string, reason: string } | null>(null)
const problemOf = (field: string) => problem.value?.path === field ? problem.value.reason : ''

function length(field: string, text: string): number | undefined {
  if (!text.trim()) return undefined
  try {
    const { value, unit } = parseQuantity(text, lengthUnit.value, numbers.format.value)
    const mm = Math.round(convert(value, unit, 'mm') * 100) / 100
    if (mm <= 0 || mm > 500) throw new FieldError(field, 'A length here is above zero and below half a meter.')
    return mm
  }
  catch (error) {
    if (error instanceof UnitError) throw new FieldError(field, error.message)
    throw error
  }
}
function submit() {
  problem.value = null
  try {
    if (!form.propertyClass) throw new FieldError('propertyClass', 'It stands on the head: 8.8, 10.9, or three or six strokes for grade 5 and 8.')
    const engagementMm = length('engagementMm', form.engagement)
    const clampMm = length('clampMm', form.clamp)
    const fastener: FastenerFacts = {
      thread: parseThread(form.thread).designation, propertyClass: form.propertyClass, condition: form.condition,
      ...(form.material ? { material: form.material } : {}), ...(engagementMm !== undefined ? { engagementMm } : {}), ...(clampMm !== undefined ? { clampMm } : {}),
    }
    checkFacts(fastener)
    if (store.write('fastener-described', { group: props.group.id, fastener })) emit('done')
  }
  catch (error) {
    if (!(error instanceof FieldError)) throw error
    problem.value = { path: error.path, reason: error.reason }
  }
}
</script>

<template>
  <form class="grid gap-4" novalidate @submit.prevent="submit">
    <div class="grid grid-cols-2 gap-3">
      <div>
        <label class="label" for="fastener-thread">Thread</label>
        <input id="fastener-thread" v-model="form.thread" class="figure mt-1" placeholder="M8x1.25 or 3/8-16" autocomplete="off" :aria-invalid="!!problemOf('thread')" aria-describedby="fastener-thread-problem">
      </div>
      <div>
        <label class="label" for="fastener-class">Class on the head</label>
        <select id="fastener-class" v-model="form.propertyClass" class="mt-1" :aria-invalid="!!problemOf('propertyClass')" aria-describedby="fastener-class-problem">
          <option value="">not known</option><option v-for="name in propertyClasses" :key="name" :value="name">{{ name }}</option>
        </select>
      </div>
    </div>
    <p v-if="problemOf('thread')" id="fastener-thread-problem" class="text-danger" role="alert">{{ problemOf('thread') }}</p>
    <p v-if="problemOf('propertyClass') || problemOf('diameterMm')" id="fastener-class-problem" class="text-danger" role="alert">{{ problemOf('propertyClass') || problemOf('diameterMm') }}</p>
    <ChoiceRow v-model="form.condition" label="Thread and head" :choices="threadLabels" />
    <div class="grid grid-cols-2 gap-3">
      <div>
        <label class="label" for="fastener-material">Goes into</label>
        <select id="fastener-material" v-model="form.material" class="mt-1"><option value="">not known</option><option v-for="material in materialLabels" :key="material.id" :value="material.id">{{ t(material.label) }}</option></select>
      </div>
      <div>
        <label class="label" for="fastener-engagement">Thread engaged, {{ lengthUnit }}</label>
        <input id="fastener-engagement" v-model="form.engagement" class="figure mt-1" inputmode="decimal" autocomplete="off" :aria-invalid="!!problemOf('engagementMm')" aria-describedby="fastener-engagement-problem">
      </div>
      <div>
        <label class="label" for="fastener-clamp">Thickness clamped, {{ lengthUnit }}</label>
        <input id="fastener-clamp" v-model="form.clamp" class="figure mt-1" inputmode="decimal" autocomplete="off" :aria-invalid="!!problemOf('clampMm')" aria-describedby="fastener-clamp-problem">
      </div>
    </div>
    <p v-if="problemOf('engagementMm')" id="fastener-engagement-problem" class="text-danger" role="alert">{{ problemOf('engagementMm') }}</p>
    <p v-if="problemOf('clampMm')" id="fastener-clamp-problem" class="text-danger" role="alert">{{ problemOf('clampMm') }}</p>
    <p class="text-quiet">Material and engaged length let Eldrin judge the thread; the thickness is wanted for torque plus angle.</p>
    <button class="button button-main button-big">Keep</button>
  </form>
</template>
