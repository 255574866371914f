<script setup lang="ts">
import { fieldsAsked } from '../../../core/bench'
import type { DialValue, FieldValue, SheetValues } from '../../../core/bench'
import type { Sheet, SheetField } from '../../../core/packs'

/** The fields of a sheet, or of one part that is laid beside others on it. Each is told as it is entered. */
const props = defineProps<{
  sheet: Sheet
  values: SheetValues
  /** What the log holds of them, or is about to: readings may come faster than a screen is drawn. */
  ahead: SheetValues
  /** Tells the fields of two parts apart. */
  prefix?: string
}>()
const emit = defineEmits<{ read: [values: SheetValues, cleared: string[]] }>()
const t = useTerms()
const asked = computed(() => fieldsAsked(props.sheet, props.values))
const idOf = (field: SheetField) => `${props.prefix ?? props.sheet.id}-${field.id}`
const aheadOf = (field: SheetField) => props.ahead[field.id] ?? null

function keep(field: SheetField, value: FieldValue | null) {
  if (JSON.stringify(value) === JSON.stringify(aheadOf(field))) return
  emit('read', value ? { [field.id]: value } : {}, value ? [] : [field.id])
}
function dialAhead(field: SheetField): DialValue[] {
  const ahead = aheadOf(field)
  return ahead?.kind === 'dial' ? ahead.entries : []
}
const take = (field: SheetField, entry: DialValue) =>
  keep(field, { kind: 'dial', entries: [...dialAhead(field), entry] })
/** The limit that a dial's picture shows as a band: the number field its computation takes as one. */
function limitOf(field: SheetField): number | null {
  const judge = props.sheet.judges.find(entry => entry.inputs.dial === field.id && entry.inputs.limit)
  const limit = props.sheet.fields.find(entry => entry.id === judge?.inputs.limit)
  const value = props.values[limit?.id ?? '']
  return value?.kind === 'number' ? value.entry.value : limit?.kind === 'number' ? (limit.guide ?? null) : null
}
const numberOf = (id: string) => {
  const value = props.values[id]
  return value?.kind === 'number' ? value.entry : null
}
const pointsOf = (id: string) => {
  const value = props.values[id]
  return value?.kind === 'points' ? value.entries : []
}
const dialOf = (id: string) => {
  const value = props.values[id]
  return value?.kind === 'dial' ? value.entries : []
}
const answerOf = (id: string) => {
  const value = props.values[id]
  return value?.kind === 'choice' ? value.answer : null
}
const textOf = (id: string) => {
  const value = props.values[id]
  return value?.kind === 'text' ? value.text : ''
}
</script>

<template>
  <div class="grid gap-x-6 gap-y-5 sm:grid-cols-2">
    <ReaderFields
      v-if="!prefix && asked.some(field => field.live)"
      class="sm:col-span-2"
      :fields="asked"
      @read="values => emit('read', values, [])"
    />
    <div
      v-for="field in asked"
      :key="field.id"
      :class="field.kind === 'number' ? '' : field.kind === 'text' ? '' : 'sm:col-span-2'"
    >
      <NumberField
        v-if="field.kind === 'number'"
        :field="field"
        :name="idOf(field)"
        :entry="numberOf(field.id)"
        @keep="entry => keep(field, entry ? { kind: 'number', entry } : null)"
      />
      <PointsField
        v-else-if="field.kind === 'points'"
        :field="field"
        :name="idOf(field)"
        :entries="pointsOf(field.id)"
        @keep="entries => keep(field, entries.length ? { kind: 'points', entries } : null)"
      />
      <DialField
        v-else-if="field.kind === 'dial'"
        :field="field"
        :name="idOf(field)"
        :entries="dialOf(field.id)"
        :limit-mm="limitOf(field)"
        :ahead="dialAhead(field)"
        @take="entry => take(field, entry)"
        @keep="entries => keep(field, entries.length ? { kind: 'dial', entries } : null)"
      />
      <ChoiceRow
        v-else-if="field.kind === 'choice'"
        :model-value="answerOf(field.id)"
        :label="t(field.name)"
        :choices="field.answers.map(answer => ({ id: answer.id, label: t(answer.label) }))"
        @update:model-value="answer => keep(field, answer ? { kind: 'choice', answer } : null)"
      />
      <template v-else>
        <FieldHead :field="field" :field-id="idOf(field)" />
        <input
          :id="idOf(field)"
          class="mt-1"
          v-typed="textOf(field.id)"
          autocomplete="off"
          @change="
            event => {
              const text = (event.target as HTMLInputElement).value.trim()
              keep(field, text ? { kind: 'text', text } : null)
            }
          "
        />
      </template>
    </div>
  </div>
</template>
