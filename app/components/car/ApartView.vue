<script setup lang="ts">
import { whyOurs, withWhatIsBefore } from '../../../core/job'
import { placeOf } from '../../../core/packs'
import { operationOrder } from '../../../core/sequence'
import { nowIso } from '../../device/clock'
import { minutesText } from '../../words/durations'
import { utcOffsetMinutes } from '../../words/utc-offset'

/** A car that came apart: what somebody else took off, and what of it is here. */
const { store, state } = useJob()
const messages = useMessages()
const t = useTerms()
const marginOpen = ref(false)
const search = ref('')
const by = ref('')
const picked = ref<string[]>([])
const steps = computed(() => {
  const { procedure, plan, done } = state.value
  const operations = new Map(procedure!.operations.map(operation => [operation.id, operation]))
  return operationOrder(plan!)
    .flatMap(id => operations.get(id) ?? [])
    .filter(
      ({ id, phase, takesOff }) => !done[id] && ['strip', 'bench'].includes(phase) && Object.keys(takesOff).length > 0,
    )
    .map(operation => ({ operation, ours: whyOurs(state.value, operation) }))
})
const shown = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  return steps.value.filter(({ operation }) => t(operation.title).toLowerCase().includes(wanted))
})
/** With what must have come off before. */
const all = computed(() =>
  withWhatIsBefore(
    state.value,
    picked.value.filter(id => !state.value.done[id]),
  ),
)
const things = computed(() =>
  state.value
    .procedure!.items.filter(({ id }) => state.value.told[id] && state.value.ledger[id])
    .map(item => ({ item, count: state.value.ledger[item.id]! })),
)
const unseen = computed(() => things.value.filter(({ item }) => state.value.told[item.id]!.unknown > 0))
const titles = computed(() => new Map(state.value.procedure!.operations.map(({ id, title }) => [id, title])))

function toggle(id: string) {
  picked.value = all.value.includes(id)
    ? picked.value.filter(other => !withWhatIsBefore(state.value, [other]).includes(id))
    : [...picked.value, id]
}
function submit() {
  if (all.value.length === 0) return
  const before = store.ahead.plan!.totals.workMinutes
  const taken = store.write('steps-taken-over', {
    stepIds: all.value,
    by: by.value.trim() || 'Before it came here',
    at: nowIso(),
    utcOffsetMinutes: utcOffsetMinutes(),
    asItStands: true,
  })
  if (!taken) return
  picked.value = []
  const less = Math.round(before - store.ahead.plan!.totals.workMinutes)
  messages.say(
    `${all.value.length === 1 ? 'One step' : 'They'} count as done by others: ${minutesText(less)} less for us. Say what of it is here.`,
  )
}
function allHere() {
  store.write('things-told', {
    things: unseen.value.map(({ item }) => ({ itemId: item.id, missing: 0, unknown: 0, until: null })),
    at: nowIso(),
    utcOffsetMinutes: utcOffsetMinutes(),
  })
}
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" margin-title="What it means">
    <CarHead />
    <section v-if="things.length" aria-label="What is here">
      <h1 class="text-2xl">
        <template v-if="unseen.length"
          ><span class="figure">{{ unseen.length }}</span>
          {{ unseen.length === 1 ? 'thing that' : 'things that' }} nobody has seen</template
        >
        <template v-else>What came with it is told</template>
      </h1>
      <button v-if="unseen.length > 1" class="button mt-2" @click="allHere">All {{ unseen.length }} are here</button>
      <ul class="ruled mt-2">
        <li
          v-for="{ item, count } in things"
          :key="item.id"
          class="grid items-center gap-2 py-3 sm:grid-cols-[minmax(0,1fr)_auto]"
        >
          <p>
            <span class="figure mr-2 font-semibold">{{ count }}</span><span class="label">{{ t(item.name) }}</span>
          </p>
          <TellThing :item="item" :count="count" />
        </li>
      </ul>
    </section>
    <LazyBagOfBolts v-if="things.length" />
    <section class="pb-28" :class="things.length ? 'mt-8' : ''" aria-label="What was off">
      <component :is="things.length ? 'h2' : 'h1'" class="text-2xl">What was off when it came</component>
      <p class="mt-1 text-quiet">Tick the deepest things. What must have come off before them is ticked along.</p>
      <div class="mt-3 grid max-w-2xl gap-3 sm:grid-cols-2">
        <Field v-slot="{ control }" id="apart-search" label="Find a thing"
          ><input v-bind="control" v-model="search" class="mt-1" autocomplete="off"
        /></Field>
        <Field v-slot="{ control }" id="apart-by" label="Who took it apart"
          ><input v-bind="control" v-model="by" class="mt-1" maxlength="120" placeholder="Before it came here"
        /></Field>
      </div>
      <p v-if="shown.length === 0" class="mt-4 text-quiet">
        {{ steps.length === 0 ? 'Nothing is left that others can have taken off.' : 'No step of that name.' }}
      </p>
      <ul class="ruled mt-3">
        <li v-for="{ operation, ours } in shown" :key="operation.id">
          <label class="flex min-h-12 items-center gap-3 py-1" :class="ours ? 'text-quiet' : 'cursor-pointer'">
            <input
              type="checkbox"
              class="size-6! min-h-0! w-6! shrink-0"
              :checked="all.includes(operation.id)"
              :disabled="ours !== null"
              @change="toggle(operation.id)"
            />
            <PlaceTag :at="placeOf(state.procedure!, operation.place)" short />
            <span
              >{{ t(operation.title) }}<span v-if="ours" class="block text-sm">{{ t(ours) }}</span></span
            >
          </label>
        </li>
      </ul>
      <FootBar>
        <button type="button" class="button button-big px-1! text-lg!" @click="store.undo()">Undo</button>
        <button class="button button-main button-big" :disabled="all.length === 0" @click="submit">
          {{
            all.length === 0
              ? 'Tick what was off'
              : `${all.length === 1 ? 'One step' : `${all.length} steps`} done by others`
          }}
        </button>
      </FootBar>
    </section>
    <template #margin>
      <div class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg max-lg:hidden">Done by others</h2>
        <p>
          Steps that others did take none of your time, and nobody takes their word for what keeps you safe: current
          off, engine held, car supported.
        </p>
        <p>What nobody has seen does not go back, and the car is not handed over without it.</p>
        <ul v-if="Object.keys(state.takenOver).length" class="ruled">
          <li v-for="(record, id) in state.takenOver" :key="id" class="py-1">
            {{ t(titles.get(String(id)) ?? '') }} <span class="text-sm text-quiet">{{ record.by }}</span>
          </li>
        </ul>
      </div>
    </template>
  </SheetWithMargin>
</template>
