<script setup lang="ts">
import { closing, holdingBack, openBeforeHandover } from '../../../core/job'
import type { ClosingStatus, OpenKind } from '../../../core/job'

/** The closing checks in the order that saves work; what is missing opens the very step. */
const { store, state, path } = useJob()
const t = useTerms()
const handingOver = ref(false)
const lines = computed(() => closing(state.value))
const open = computed(() => openBeforeHandover(state.value))
const without = computed(() => holdingBack(open.value))
const notes = reactive<Record<string, string>>({})
const ofKind = (kinds: OpenKind[]) => open.value.filter(entry => kinds.includes(entry.kind))
const marks: Record<ClosingStatus, string> = { done: '✓', left: '~', open: '', bad: '✕' }
const words: Record<ClosingStatus, string> = {
  done: 'done',
  left: 'left with a reason',
  open: 'open',
  bad: 'not right',
}
const tones: Record<ClosingStatus, string> = { done: 'text-good', left: 'text-attention', open: '', bad: 'text-danger' }
const garage = useGarageStore()
const personName = (id: string) =>
  garage.garage?.people.find(person => person.id === id)?.name ?? 'somebody of the garage'
const groups: { kinds: OpenKind[]; name: string }[] = [
  { kinds: ['finding'], name: 'Found bad' },
  { kinds: ['figure'], name: 'No figure named' },
  { kinds: ['tight'], name: 'In, not at their figure' },
  { kinds: ['trouble'], name: 'Trouble not cleared' },
  { kinds: ['thing'], name: 'Came apart and is not here' },
  { kinds: ['item', 'bolt'], name: 'Still off, open or slack' },
  { kinds: ['step'], name: 'Work not done' },
  { kinds: ['check'], name: 'Checks not made' },
]
const ended = computed(() => state.value.handedOver !== null || state.value.calledOff !== null)
useKeys({ Backspace: store.undo })

function check(checkId: string, good: boolean) {
  if (store.write('check-made', { checkId, good, note: (notes[checkId] ?? '').trim() })) notes[checkId] = ''
}
</script>

<template>
  <SheetWithMargin v-model:open="handingOver" margin-title="Hand-over">
    <ProveHead />
    <h1 class="text-2xl">
      <template v-if="state.handedOver">Handed over to {{ state.handedOver.to }}</template>
      <template v-else-if="state.calledOff">Called off</template>
      <template v-else-if="without.length === 0">Ready to be handed over</template>
      <template v-else
        ><span class="figure">{{ without.length }}</span>
        {{ without.length === 1 ? 'open point stands' : 'open points stand' }} between this car and its owner</template
      >
    </h1>
    <button
      v-if="!ended && without.length === 0"
      class="button button-main button-big mt-4 w-full lg:hidden"
      @click="handingOver = true"
    >
      Go on to the hand-over
    </button>

    <section class="mt-5">
      <h2 class="border-b border-ink pb-1 text-lg">
        Closing checks
        <span class="figure text-quiet"
          >{{ lines.filter(line => line.status === 'done').length }} of {{ lines.length }} done</span
        ><span v-if="lines.some(line => line.status === 'left')" class="figure text-attention"
          >, {{ lines.filter(line => line.status === 'left').length }} left with a reason</span
        >
      </h2>
      <ol class="ruled">
        <li v-for="line in lines" :key="line.id" class="py-2.5" :data-testid="`check-${line.id}`">
          <div class="flex items-start gap-3">
            <span class="figure w-5 shrink-0 text-lg" :class="tones[line.status]" aria-hidden="true">{{
              marks[line.status]
            }}</span>
            <div class="min-w-0 flex-1">
              <p class="text-lg" :class="line.status === 'done' ? 'text-quiet' : 'font-semibold'">
                {{ t(line.title) }}<span class="sr-only">, {{ words[line.status] }}</span>
              </p>
              <template v-if="line.status !== 'done' && !ended">
                <p class="text-quiet">{{ t(line.because) }}</p>
                <ul v-if="line.missing.length" class="mt-1">
                  <li v-for="missing in line.missing.slice(0, 5)" :key="missing.title">
                    <NuxtLink
                      v-if="missing.stepId"
                      class="inline-flex min-h-11 items-center font-semibold underline"
                      :to="{ path: path('work'), query: { step: missing.stepId } }"
                      >{{ t(missing.title) }}</NuxtLink><span v-else>{{ t(missing.title) }}</span>
                  </li>
                  <li v-if="line.missing.length > 5" class="text-quiet">
                    and {{ line.missing.length - 5 }} more:
                    <NuxtLink :to="path('car')" class="underline">the ledger</NuxtLink>
                  </li>
                </ul>
              </template>
              <p v-for="entry in line.left" :key="entry.title" class="border-l-4 border-attention pl-3">
                {{ t(entry.title) }}: {{ entry.reason }} ({{ personName(entry.personId) }})
              </p>
              <p v-if="line.made?.note" class="mt-1">{{ line.made.note }}</p>
              <div
                v-if="line.kind === 'hand' && line.status !== 'done' && !ended"
                class="mt-2 flex flex-wrap items-end gap-2"
              >
                <button class="button" @click="check(line.id, true)">{{ line.good }}</button><button
                  class="button"
                  @click="check(line.id, false)"
                >
                  {{ line.bad }}
                </button>
                <div class="min-w-40 flex-1">
                  <Field v-slot="{ control }" :id="`note-${line.id}`" label="Note"
                    ><input v-bind="control" v-model="notes[line.id]" class="mt-1" maxlength="300"
                  /></Field>
                </div>
              </div>
            </div>
          </div>
        </li>
      </ol>
      <p v-if="lines.length === 0" class="mt-2 text-quiet">
        This plan was made before closing checks stood in the layouts; the list below holds what is open.
      </p>
    </section>

    <section v-if="!ended && open.length" class="mt-6">
      <h2 class="border-b border-ink pb-1 text-lg">Left as it is, with a reason</h2>
      <details
        v-for="group in groups.filter(entry => ofKind(entry.kinds).length)"
        :key="group.name"
        class="border-b border-rule"
        :open="ofKind(group.kinds).length <= 4"
      >
        <summary class="min-h-11 cursor-pointer content-center font-semibold">
          {{ group.name }} <span class="figure text-quiet">{{ ofKind(group.kinds).length }}</span>
        </summary>
        <ul class="ruled">
          <OpenEntryLine v-for="entry in ofKind(group.kinds)" :key="entry.entry" :entry="entry" />
        </ul>
      </details>
    </section>

    <template #margin>
      <HandoverForm v-if="!state.calledOff" :missing="without.length" />
      <CallOff v-if="!state.handedOver" class="mt-6" />
    </template>
  </SheetWithMargin>
</template>
