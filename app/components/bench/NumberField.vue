<script setup lang="ts">
import { checkEntry } from '../../../core/bench'
import type { Entry } from '../../../core/bench'
import type { SheetField } from '../../../core/packs'
import { readEntry, shownEntry, unitTyped } from '../../words/read-entry'

/** One number. It is kept as it was typed; what cannot be right is marked beside it. */
const props = defineProps<{ field: Extract<SheetField, { kind: 'number' }>; entry: Entry | null; name: string }>()
const emit = defineEmits<{ keep: [entry: Entry | null] }>()
const t = useTerms()
const units = useUnits()
const shown = computed(() => (props.entry ? shownEntry(props.entry, props.field.unit, units.preference.value) : ''))
const mark = computed(() => (props.entry ? checkEntry(props.field, props.entry) : null))
const unit = computed(() => unitTyped(props.field.unit, units.preference.value))
const read = computed(() => {
  const value = props.entry?.value
  return value === null || value === undefined || props.field.unit !== 'mm' || unit.value === 'mm' || mark.value
    ? ''
    : `${value.toFixed(2)} mm`
})
const guide = computed(() =>
  props.field.guide === undefined
    ? ''
    : props.field.unit === 'mm'
      ? units.reading(props.field.guide, 'mm')
      : `${props.field.guide} ${props.field.unit}`.trim(),
)

function keep(event: Event) {
  const text = (event.target as HTMLInputElement).value.trim()
  if (text === shown.value) return
  emit('keep', text === '' ? null : readEntry(text, props.field.unit, units.preference.value))
}
</script>

<template>
  <div>
    <FieldHead :field="field" :unit="unit" :field-id="name" />
    <input
      :id="name"
      v-typed="shown"
      class="figure mt-1 text-xl"
      :class="mark ? 'border-danger!' : ''"
      inputmode="decimal"
      autocomplete="off"
      :placeholder="guide ? `${guide} is usual` : ''"
      :aria-describedby="`${name}-about`"
      :aria-invalid="mark !== null"
      @change="keep"
      @keydown.enter="keep"
    />
    <p :id="`${name}-about`" class="mt-1 text-sm text-quiet">
      <span v-if="mark" class="block text-danger">{{ t(mark) }}</span>
      <span v-if="read" class="figure block">{{ read }}</span>
      <template v-if="field.about">{{ t(field.about) }}</template>{{ ' '
      }}<template v-if="guide && !entry">Left empty, {{ guide }} counts, common practice.</template>
    </p>
  </div>
</template>
