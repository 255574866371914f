<script setup lang="ts">
import { findingsOf, pedalForbidden } from '../../../core/job'
import { momentText } from '../../words/moments'

/** What the complaint pointed at, and what it was in the end: the garage learns from it. */
const { store, state } = useJob()
const t = useTerms()
const tableId = ref(Object.keys(state.value.findings)[0] ?? state.value.causeFound?.tableId ?? '')
const { table, tables, answer, problem, load, cases, ownCounts, findings, ranks, before, worth, boxOut, forget } =
  useCauses(
    tableId,
    found => findingsOf(state.value, found),
    id => state.value.procedure!.operations.some(operation => operation.id === id),
    () => state.value.procedure!.causes,
  )
watch(table, found => {
  if (found && !tableId.value) tableId.value = found.id
})
/** Tests are driven and felt on a whole car. */
const whole = computed(
  () => !state.value.handedOver && Object.keys(state.value.ledger).length === 0 && !pedalForbidden(state.value),
)
const causeId = ref('')
const words = ref('')
const asking = ref(false)
useKeys({ Backspace: store.undo })

function keep() {
  const cause = table.value!.causes.find(entry => entry.id === causeId.value)
  if (
    cause &&
    store.write('cause-found', {
      tableId: table.value!.id,
      causeId: cause.id,
      title: t(cause.title),
      text: words.value.trim(),
      findings: findings.value,
    })
  ) {
    words.value = ''
    causeId.value = ''
  }
}
function forgetAll() {
  void forget()
  asking.value = false
}
</script>

<template>
  <SheetWithMargin margin-title="What the garage learned">
    <ProveHead />
    <h1 class="text-2xl">What it was</h1>
    <p v-if="state.causeFound" class="mt-3 border-l-4 border-good pl-4 text-lg" data-testid="cause-found">
      <span class="label">{{ state.causeFound.title }}.</span> {{ state.causeFound.text }}
      <span class="text-quiet">Found {{ momentText(state.causeFound.at) }}.</span>
    </p>
    <p v-if="problem" class="mt-3 text-danger" role="alert">
      {{ t(problem) }} <button class="underline" @click="load">Try again</button>
    </p>
    <p v-else-if="!table || !answer" class="mt-3 text-quiet" role="status">Fetching the tables of causes</p>
    <template v-else>
      <ChoiceRow
        v-if="tables.length > 1 && Object.keys(state.findings).length === 0 && !state.causeFound"
        v-model="tableId"
        class="mt-3"
        label="How it is worked"
        hide-label
        :choices="tables.map(entry => ({ id: entry.id, label: t(entry.title) }))"
      />
      <BoxOutLine class="mt-4" :share="boxOut" :known="Object.keys(findings).length > 0" />
      <div class="mt-4 grid gap-6 xl:grid-cols-2">
        <CauseRanks :table="table" :ranks="ranks" :before="before" :most="8" />
        <CauseTests
          v-if="whole"
          :table="table"
          :worth="worth"
          :findings="findings"
          :elsewhere="table.pump ? [table.pump] : []"
          @found="(test, outcome) => store.write('finding-noted', { tableId: table!.id, testId: test, outcome })"
        />
      </div>
      <form class="mt-6 grid max-w-2xl gap-3 border-t-2 border-ink pt-4" @submit.prevent="keep">
        <h2 class="text-lg">
          {{ state.causeFound ? 'It was something else' : 'What was found with the part in the hand' }}
        </h2>
        <Field v-slot="{ control }" id="cause" label="It was"
          ><select v-bind="control" v-model="causeId" class="mt-1">
            <option value="" disabled>choose</option>
            <option v-for="rank in ranks" :key="rank.cause" :value="rank.cause">
              {{ t(table.causes.find(cause => cause.id === rank.cause)!.title) }}
            </option>
          </select></Field
        >
        <Field v-slot="{ control }" id="cause-words" label="In words, for the papers"
          ><input v-bind="control" v-model="words" class="mt-1" maxlength="1000"
        /></Field>
        <p v-if="causeId" class="text-quiet">{{ t(table.causes.find(cause => cause.id === causeId)!.todo) }}</p>
        <button class="button button-main justify-self-start" :disabled="!causeId">Keep it as found</button>
      </form>
    </template>
    <template #margin>
      <section v-if="table" class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg">What the garage learned</h2>
        <p>
          Shipped: {{ table.origin.toLowerCase() }}. They count as twenty jobs; every cause found here counts as one.
        </p>
        <p>
          <span class="figure font-bold">{{ cases.length }}</span>
          {{ cases.length === 1 ? 'job of ours counts' : 'jobs of ours count' }} in this table.
        </p>
        <label class="flex min-h-12 items-center gap-2"
          ><input v-model="ownCounts" type="checkbox" class="size-5 min-h-0 w-auto" />count our own jobs</label
        >
        <button v-if="cases.length && !asking" class="button justify-self-start" @click="asking = true">
          Forget our own
        </button>
        <p v-if="asking" class="flex flex-wrap items-center gap-2">
          The log of every job stays; the tables go back to the shipped ones.
          <button class="button" @click="forgetAll">Forget them</button
          ><button class="button" @click="asking = false">Back</button>
        </p>
      </section>
    </template>
  </SheetWithMargin>
</template>
