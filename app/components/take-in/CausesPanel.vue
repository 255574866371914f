<script setup lang="ts">
import type { Findings } from '../../../core/decisions'
import { findingsOf } from '../../../core/job/views/findings-of'
import type { PumpResult } from '../../../core/job'
import type { Pack } from '../../../core/packs'

/** What it may be, from the complaint and the tests done so far, and which test would tell most. */
const props = defineProps<{ symptoms: string[]; result: PumpResult; pack: Pack | null }>()
const outcomes = defineModel<Findings>('outcomes', { required: true })
const tableId = defineModel<string>('table', { required: true })
/** While another layout is on its way, what the one before said stays. */
const layout = shallowRef(props.pack)
watch(
  () => props.pack,
  pack => {
    if (pack) layout.value = pack
  },
)
const { table, tables, answer, problem, load, cases, ownCounts, findings, ranks, before, worth, boxOut } = useCauses(
  tableId,
  found =>
    findingsOf(
      {
        complaint: { symptoms: props.symptoms, text: '' },
        pumpTest: { result: props.result, strokes: null },
        findings: { [found.id]: outcomes.value },
      },
      found,
    ),
  id => layout.value?.modules.some(module => module.operations.some(operation => operation.id === id)) ?? true,
  // Of which layout is not known yet.
  () => (layout.value ? layout.value.causes : []),
)
const t = useTerms()
watch(tableId, () => {
  outcomes.value = {}
})
/** Another layout has other tables. */
watch(table, found => {
  if (found) tableId.value = found.id
})
/** Whether the pumped pedal tells anything of such a car. */
const pumps = defineModel<boolean>('pumps', { default: true })
watchEffect(() => {
  if (table.value) pumps.value = table.value.pump !== undefined
})
function found(test: string, outcome: string | null) {
  const { [test]: _before, ...rest } = outcomes.value
  outcomes.value = outcome === null ? rest : { ...rest, [test]: outcome }
}
</script>

<template>
  <section aria-labelledby="causes-title">
    <h2 id="causes-title" class="text-2xl">What it may be</h2>
    <p v-if="problem" class="mt-3 text-danger" role="alert">
      {{ t(problem) }} <button type="button" class="underline" @click="load">Try again</button>
    </p>
    <p v-else-if="!table || !answer" class="mt-3 text-quiet" role="status">Fetching the tables of causes</p>
    <template v-else>
      <ChoiceRow
        v-if="tables.length > 1"
        v-model="tableId"
        class="mt-3"
        label="How it is worked"
        hide-label
        :choices="tables.map(entry => ({ id: entry.id, label: t(entry.title) }))"
      />
      <BoxOutLine class="mt-4" :share="boxOut" :known="Object.keys(findings).length > 0" />
      <div class="mt-4 grid gap-6 xl:grid-cols-2">
        <div>
          <CauseRanks :table="table" :ranks="ranks" :before="before" />
          <p class="mt-1 text-sm text-quiet">
            {{ table.origin
            }}<template v-if="cases.length"
              >;
              <button type="button" class="underline" @click="ownCounts = !ownCounts">
                {{ ownCounts ? `with ${cases.length} of our own jobs` : 'without our own jobs' }}
              </button></template
            >.
          </p>
        </div>
        <CauseTests
          :table="table"
          :worth="worth"
          :findings="findings"
          :elsewhere="table.pump ? [table.pump] : []"
          @found="found"
        />
      </div>
    </template>
  </section>
</template>
