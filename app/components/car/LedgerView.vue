<script setup lang="ts">
import { entryStory } from '../../../core/job/views/car-drawing'
import { ledgerLines, mustBeNew } from '../../../core/job/views/reconcile'
import type { LedgerLine, Settlement } from '../../../core/job/views/reconcile'
import type { ItemState } from '../../../core/packs'
import { momentText } from '../../words/moments'

/** Everything that has come off, and what became of it: put back, replaced, or left with a reason. */
const { store, state } = useJob()
const t = useTerms()
const marginOpen = ref(false)
const lines = computed(() => ledgerLines(state.value))
const wanted = ref<'all' | ItemState>('all')
const shownOf = ref<'off' | 'settled' | 'both'>('off')
const search = ref('')
const askedId = ref<string | null>(null)
const kinds: { id: ItemState; label: string }[] = [
  { id: 'off', label: 'Off' },
  { id: 'open', label: 'Open' },
  { id: 'unplugged', label: 'Unplugged' },
  { id: 'slack', label: 'Loose' },
  { id: 'propped', label: 'Holds' },
]
const inHand = computed(() =>
  lines.value.filter(line => shownOf.value === 'both' || (shownOf.value === 'off') === (line.settlement === 'off')),
)
const shown = computed(() =>
  inHand.value
    .filter(line => wanted.value === 'all' || line.item.state === wanted.value)
    .filter(line =>
      `${t(line.item.name)} ${t(line.item.goesTo ?? '')}`.toLowerCase().includes(search.value.trim().toLowerCase()),
    ),
)
const filters = computed(() => [
  { id: 'all' as const, label: 'All', note: String(inHand.value.length) },
  ...kinds.flatMap(({ id, label }) => {
    const count = inHand.value.filter(line => line.item.state === id).length
    return count || wanted.value === id ? [{ id, label, note: String(count) }] : []
  }),
])
const count = (settlement: Settlement) => lines.value.filter(line => line.settlement === settlement).length
const settled = computed(() => lines.value.length - count('off'))
const asked = computed(() => {
  const line = lines.value.find(entry => entry.item.id === askedId.value)
  return line ? { line, story: entryStory(state.value, line), new: mustBeNew(state.value, line.item) } : null
})
const how = ref<'replaced' | 'left' | null>(null)
const words = ref('')
const stateWords: Record<ItemState, string> = {
  off: 'off',
  open: 'open',
  unplugged: 'unplugged',
  slack: 'loose',
  propped: 'holds',
}
const settleWords: Record<Settlement, string> = {
  off: 'still off',
  back: 'back',
  replaced: 'new in its place',
  left: 'left so',
}

function ask(line: LedgerLine) {
  askedId.value = askedId.value === line.item.id ? null : line.item.id
  how.value = null
  words.value = ''
  marginOpen.value = askedId.value !== null
}
function settle() {
  if (!words.value.trim() || !asked.value) return
  const { id } = asked.value.line.item
  const ok =
    how.value === 'replaced'
      ? store.write('entry-replaced', { itemId: id, by: words.value.trim() })
      : store.write('left-open', { entry: `item:${id}`, reason: words.value.trim() })
  if (ok) how.value = null
}
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" :margin-title="asked ? t(asked.line.item.name) : 'Reconcile'">
    <CarHead />
    <h1 class="text-2xl">
      <span class="figure">{{ settled }}</span> of <span class="figure">{{ lines.length }}</span> entries settled
    </h1>
    <div
      class="mt-2 flex h-3 w-full max-w-xl border border-line"
      role="img"
      :aria-label="`${settled} of ${lines.length} settled`"
    >
      <span class="bg-good" :style="{ width: `${lines.length ? (settled / lines.length) * 100 : 0}%` }" />
    </div>
    <p class="mt-1 text-quiet">
      {{ count('back') }} back · {{ count('replaced') }} new in place of the old · {{ count('left') }} left with a
      reason · {{ count('off') }} still off
    </p>
    <div class="mt-4 grid gap-3">
      <ChoiceRow
        v-model="shownOf"
        label="Which entries"
        hide-label
        :choices="[
          { id: 'off', label: 'Still off', note: String(count('off')) },
          { id: 'settled', label: 'Settled', note: String(settled) },
          { id: 'both', label: 'Both', note: String(lines.length) },
        ]"
      />
      <ChoiceRow v-model="wanted" label="Which state" hide-label :choices="filters" />
      <div class="max-w-md">
        <Field v-slot="{ control }" id="ledger-search" label="Find a thing, a bag or a board"
          ><input v-bind="control" v-model="search" class="mt-1" autocomplete="off"
        /></Field>
      </div>
    </div>
    <p v-if="shown.length === 0" class="mt-5 text-lg text-quiet">
      {{ lines.length === 0 ? 'Nothing has come off this car yet.' : 'No entry of that kind.' }}
    </p>
    <ul class="ruled mt-4">
      <li v-for="line in shown" :key="line.item.id">
        <button
          class="grid min-h-12 w-full grid-cols-[3.5rem_minmax(0,1fr)_auto] items-baseline gap-x-3 py-2 text-left"
          :class="askedId === line.item.id ? 'bg-tint' : ''"
          :aria-expanded="askedId === line.item.id"
          :data-testid="`line-${line.item.id}`"
          @click="ask(line)"
        >
          <span class="figure text-right">{{ line.settlement === 'off' ? line.count : line.most }}</span>
          <span
            ><span class="label">{{ t(line.item.name) }}</span
            ><span v-if="line.words ?? line.item.goesTo" class="block text-sm text-quiet">{{
              line.words ?? t(line.item.goesTo!)
            }}</span></span
          >
          <span class="text-sm" :class="line.settlement === 'off' ? 'font-semibold text-attention' : 'text-good'">{{
            line.settlement === 'off' ? stateWords[line.item.state] : settleWords[line.settlement]
          }}</span>
        </button>
      </li>
    </ul>
    <template #margin>
      <div v-if="asked" class="grid gap-3" data-testid="entry-story">
        <h2 class="border-b border-ink pb-1 text-lg">
          {{ t(asked.line.item.name) }}: {{ settleWords[asked.line.settlement] }}
        </h2>
        <p v-if="asked.line.item.goesTo"><span class="label">Lies:</span> {{ t(asked.line.item.goesTo) }}</p>
        <p v-if="asked.story.takenOff">
          <span class="label">Came off</span> {{ momentText(asked.story.takenOff.at) }}:
          {{ t(asked.story.takenOff.title) }}
        </p>
        <p v-if="asked.story.putBack"><span class="label">Goes back with:</span> {{ t(asked.story.putBack.title) }}</p>
        <div v-if="asked.story.putBack?.first.length">
          <p class="label">First</p>
          <ul class="list-disc pl-5">
            <li v-for="blocker in asked.story.putBack.first.slice(0, 5)" :key="blocker.title">
              {{ t(blocker.title) }}
            </li>
          </ul>
        </div>
        <p v-if="asked.new && asked.line.settlement !== 'replaced'" class="border-l-4 border-attention pl-3">
          <span class="label">A new one goes in.</span> {{ t(asked.new) }}
        </p>
        <TellThing
          v-if="state.told[asked.line.item.id] && asked.line.count > 0"
          :item="asked.line.item"
          :count="asked.line.count"
        />
        <div v-if="how === null" class="flex flex-wrap gap-2">
          <button class="button" @click="how = 'replaced'">A new one in its place</button>
          <button v-if="asked.line.count > 0" class="button" @click="how = 'left'">Set aside, with a reason</button>
        </div>
        <form v-else class="grid gap-2" @submit.prevent="settle">
          <Field
            v-slot="{ control }"
            id="settle-words"
            :label="how === 'replaced' ? 'Which part goes in' : 'Why it stays off'"
            ><input v-bind="control" v-model="words" maxlength="200"
          /></Field>
          <div class="flex gap-2">
            <button class="button button-main" :disabled="!words.trim()">Keep</button
            ><button type="button" class="button" @click="how = null">Back</button>
          </div>
        </form>
      </div>
      <div v-else class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg max-lg:hidden">Reconcile</h2>
        <p>
          Steps of the refit put things back by themselves. What does not go back is settled here: a new one in its
          place, or set aside with a reason that stands on the hand-over.
        </p>
        <p>The car is not handed over while an entry is unsettled.</p>
      </div>
    </template>
  </SheetWithMargin>
</template>
