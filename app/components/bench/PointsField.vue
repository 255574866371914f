<script setup lang="ts">
import { checkPoints } from '../../../core/bench'
import type { Entry } from '../../../core/bench'
import type { SheetField } from '../../../core/packs'
import { readEntry, shownEntry, unitTyped } from '../../words/read-entry'

/** The same measure at several places. Enter goes on to the next; there is always one more empty place. */
const props = defineProps<{ field: Extract<SheetField, { kind: 'points' }>; entries: Entry[]; name: string }>()
const emit = defineEmits<{ keep: [entries: Entry[]] }>()
const MOST = 24
const t = useTerms()
const units = useUnits()
const unit = computed(() => unitTyped(props.field.unit, units.preference.value))
const checked = computed(() => checkPoints(props.field, props.entries))
const markOf = (index: number) => checked.value.marks.find(mark => mark.index === index)?.reason ?? null
const { texts, toKeep } = usePlaces({
  entries: () => props.entries,
  isNamed: () => props.field.places !== undefined,
  least: () => props.field.atLeast,
  most: MOST,
  show: entry => shownEntry(entry, props.field.unit, units.preference.value),
  read: text => readEntry(text, props.field.unit, units.preference.value),
})
const list = useTemplateRef('list')

function keep() {
  const entries = toKeep()
  if (entries) emit('keep', entries)
}
async function next(index: number) {
  keep()
  if (index + 1 === texts.value.length && texts.value.length < MOST) texts.value.push('')
  await nextTick()
  list.value?.querySelectorAll('input')[index + 1]?.focus()
}
const placeName = (index: number) => props.field.places?.[index] ?? String(index + 1)
</script>

<template>
  <fieldset class="min-w-0">
    <legend class="label">
      {{ t(field.name) }}<span class="figure font-normal text-quiet">, {{ unit }}</span>
    </legend>
    <ol ref="list" class="mt-1 flex flex-wrap gap-2">
      <li v-for="(_, index) in texts" :key="index" class="w-24">
        <label class="figure block text-sm text-quiet" :for="`${name}-${index}`"
          ><span class="sr-only">{{ t(field.name) }}, place </span>{{ placeName(index) }}</label
        >
        <input
          :id="`${name}-${index}`"
          v-model="texts[index]"
          class="figure px-2! text-lg"
          :class="markOf(index) ? 'border-danger!' : ''"
          inputmode="decimal"
          autocomplete="off"
          :aria-invalid="markOf(index) !== null"
          :aria-describedby="`${name}-about`"
          @change="keep"
          @keydown.enter.prevent="next(index)"
        />
      </li>
    </ol>
    <p :id="`${name}-about`" class="mt-1 text-sm text-quiet">
      <span v-for="mark in checked.marks" :key="mark.index" class="block text-danger"
        >Place {{ placeName(mark.index) }}: {{ t(mark.reason) }}</span
      >
      <span v-if="entries.length && checked.tooFew" class="block text-attention">{{ checked.tooFew }}</span>
      <template v-if="field.about">{{ t(field.about) }}</template>
    </p>
  </fieldset>
</template>
