<script setup lang="ts">
import type { LedgerItem } from '../../../core/packs'
import { nowIso } from '../../device/clock'
import { localField } from '../../words/dates'
import { utcOffsetMinutes } from '../../words/utc-offset'

/** A thing that somebody else took off: here, missing, or seen by nobody yet. */
const props = defineProps<{ item: LedgerItem; count: number }>()
const { store, state } = useJob()
const t = useTerms()
type Stand = 'here' | 'missing' | 'unknown'
const told = computed(() => state.value.told[props.item.id])
const stand = computed<Stand>(() =>
  (told.value?.unknown ?? 0) > 0 ? 'unknown' : (told.value?.missing ?? 0) > 0 ? 'missing' : 'here',
)
const gone = computed(() => told.value?.missing || told.value?.unknown || props.count)

function tell(missing: number, unknown: number, until: string | null) {
  store.write('things-told', {
    things: [{ itemId: props.item.id, missing, unknown, until }],
    at: nowIso(),
    utcOffsetMinutes: utcOffsetMinutes(),
  })
}
function say(next: Stand | null) {
  if (next === 'missing') tell(gone.value, 0, told.value?.until ?? null)
  else tell(0, next === 'unknown' ? gone.value : 0, null)
}
function howMany(text: string) {
  const missing = Number(text)
  const unknown = told.value?.unknown ?? 0
  if (Number.isInteger(missing) && missing >= 0 && missing + unknown <= props.count)
    tell(missing, unknown, missing > 0 ? (told.value?.until ?? null) : null)
}
function unseen(text: string) {
  const unknown = Number(text)
  const missing = told.value?.missing ?? 0
  if (Number.isInteger(unknown) && unknown >= 0 && unknown + missing <= props.count)
    tell(missing, unknown, told.value?.until ?? null)
}
function from(text: string) {
  const at = new Date(text)
  tell(told.value!.missing, told.value!.unknown, Number.isNaN(at.getTime()) ? null : at.toISOString())
}
</script>

<template>
  <div class="grid gap-2" :data-testid="`tell-${item.id}`">
    <ChoiceRow
      :model-value="stand"
      :label="`${t(item.name)}: where is it`"
      hide-label
      :choices="[
        { id: 'here', label: 'Here' },
        { id: 'missing', label: 'Missing' },
        { id: 'unknown', label: 'Not seen' },
      ]"
      @update:model-value="say"
    />
    <div v-if="stand !== 'here' && (stand === 'missing' || count > 1)" class="flex flex-wrap items-end gap-3">
      <Field v-if="count > 1" v-slot="{ control }" :id="`missing-${item.id}`" :label="`Missing, of ${count}`"
        ><input
          v-bind="control"
          class="figure mt-1 w-24!"
          inputmode="numeric"
          v-typed="told!.missing"
          @change="howMany(($event.target as HTMLInputElement).value)"
      /></Field>
      <Field v-if="count > 1" v-slot="{ control }" :id="`unseen-${item.id}`" :label="`Not seen, of ${count}`"
        ><input
          v-bind="control"
          class="figure mt-1 w-24!"
          inputmode="numeric"
          v-typed="told!.unknown"
          @change="unseen(($event.target as HTMLInputElement).value)"
      /></Field>
      <Field v-if="told!.missing > 0" v-slot="{ control }" :id="`until-${item.id}`" label="There from, if known"
        ><input
          v-bind="control"
          type="datetime-local"
          class="figure mt-1 w-56!"
          v-typed="told!.until ? localField(new Date(told!.until)) : ''"
          @change="from(($event.target as HTMLInputElement).value)"
      /></Field>
    </div>
  </div>
</template>
