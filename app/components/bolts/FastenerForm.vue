<script setup lang="ts">
import { checkFacts, FieldError, parseThread, propertyClasses } from '../../../core/fasteners'
import type { FastenerFacts, HeadShape, ThreadCondition, ThreadMaterial } from '../../../core/fasteners'
import type { FastenerGroup } from '../../../core/packs'
import { convert, parseQuantity, UnitError } from '../../../core/units'
import { classLabel, materialLabels } from '../../words/bolt-words'

/** What the bolts of a group are and what they go into; by this every figure is judged. */
const props = defineProps<{ group: FastenerGroup }>()
const emit = defineEmits<{ done: [] }>()
const { store, state } = useJob()
const t = useTerms()
const units = useUnits()
const numbers = useNumbers()
const lengthUnit = computed(() => units.preference.value.length)
const shown = (mm: number | undefined) =>
  mm === undefined ? '' : String(Math.round(convert(mm, 'mm', lengthUnit.value) * 1000) / 1000)
const known = state.value.fasteners[props.group.id]
const fromBoard = state.value.boards[props.group.id]?.bolts.find(bolt => bolt.thread)
const form = reactive({
  thread: known?.thread ?? fromBoard?.thread ?? '',
  propertyClass: known?.propertyClass ?? '',
  condition: known?.condition ?? ('dry' as ThreadCondition),
  material: known?.material ?? fromBoard?.material ?? ('' as ThreadMaterial | ''),
  engagement: shown(known?.engagementMm),
  clamp: shown(known?.clampMm),
  head: known?.head ?? ('hexagon' as HeadShape),
})
const heads: Record<HeadShape, string> = {
  hexagon: 'Plain hexagon',
  flange: 'Hexagon with a flange',
  round: 'Round, with a socket',
}
const { problems, allGood } = useProblems()
const problemAt = (field: string) => problems.value[field] ?? ''

function length(field: string, text: string): number | undefined {
  if (!text.trim()) return undefined
  try {
    const { value, unit } = parseQuantity(text, lengthUnit.value, numbers.format.value)
    const mm = Math.round(convert(value, unit, 'mm') * 100) / 100
    if (mm <= 0 || mm > 500) throw new FieldError(field, 'A length here is above zero and below half a meter.')
    return mm
  } catch (error) {
    if (error instanceof UnitError) throw new FieldError(field, error.message)
    throw error
  }
}
function submit() {
  allGood({})
  try {
    if (!form.propertyClass)
      throw new FieldError(
        'propertyClass',
        'It stands on the head: 8.8, 10.9, or three or six strokes for grade 5 and 8.',
      )
    const engagementMm = length('engagementMm', form.engagement)
    const clampMm = length('clampMm', form.clamp)
    const fastener: FastenerFacts = {
      thread: parseThread(form.thread).designation,
      propertyClass: form.propertyClass,
      condition: form.condition,
      ...(form.material ? { material: form.material } : {}),
      ...(engagementMm !== undefined ? { engagementMm } : {}),
      ...(clampMm !== undefined ? { clampMm } : {}),
      ...(form.head === 'hexagon' ? {} : { head: form.head }),
    }
    checkFacts(fastener)
    if (store.write('fastener-described', { group: props.group.id, fastener })) emit('done')
  } catch (error) {
    if (!(error instanceof FieldError)) throw error
    allGood({ [error.path]: error.reason })
  }
}
</script>

<template>
  <form class="grid gap-4" novalidate @submit.prevent="submit">
    <div class="grid grid-cols-2 gap-3">
      <Field v-slot="{ control }" id="fastener-thread" label="Thread" :problem="problemAt('thread')"
        ><input
          v-bind="control"
          v-model="form.thread"
          class="figure mt-1"
          placeholder="M8x1.25 or 3/8-16"
          autocomplete="off"
      /></Field>
      <Field
        v-slot="{ control }"
        id="fastener-class"
        label="Class on the head"
        :problem="problemAt('propertyClass') || problemAt('diameterMm')"
        ><select v-bind="control" v-model="form.propertyClass" class="mt-1">
          <option value="">not known</option>
          <option v-for="name in propertyClasses" :key="name" :value="name">{{ t(classLabel(name)) }}</option>
        </select></Field
      >
    </div>
    <ConditionRows v-model="form.condition" />
    <div class="grid grid-cols-2 gap-3">
      <Field v-slot="{ control }" id="fastener-material" label="Goes into"
        ><select v-bind="control" v-model="form.material" class="mt-1">
          <option value="">not known</option>
          <option v-for="material in materialLabels" :key="material.id" :value="material.id">
            {{ t(material.label) }}
          </option>
        </select></Field
      >
      <Field
        v-slot="{ control }"
        id="fastener-engagement"
        :label="`Thread engaged, ${lengthUnit}`"
        :problem="problemAt('engagementMm')"
        ><input v-bind="control" v-model="form.engagement" class="figure mt-1" inputmode="decimal" autocomplete="off"
      /></Field>
      <Field
        v-slot="{ control }"
        id="fastener-clamp"
        :label="`Thickness clamped, ${lengthUnit}`"
        :problem="problemAt('clampMm')"
        ><input v-bind="control" v-model="form.clamp" class="figure mt-1" inputmode="decimal" autocomplete="off"
      /></Field>
      <Field v-slot="{ control }" id="fastener-head" label="Head"
        ><select v-bind="control" v-model="form.head" class="mt-1">
          <option v-for="(name, id) in heads" :key="id" :value="id">{{ name }}</option>
        </select></Field
      >
    </div>
    <p class="text-quiet">
      Material and engaged length let Eldrin judge the thread; the thickness is wanted for torque plus angle. A wide
      head takes more of a torque than a plain one.
    </p>
    <button class="button button-main button-big">Keep</button>
  </form>
</template>
