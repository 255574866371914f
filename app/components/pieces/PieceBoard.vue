<script setup lang="ts">
import { bodyMissing, looseNow, piecesOf, pieceStand, plugStand } from '../../../core/job'
import type { PieceStand, PlugStand } from '../../../core/job'
import type { Body } from '../../../core/packs'

/** A body that comes down: its pockets with their pieces, its plugs, and its bolts, counted out and counted in. */
const props = defineProps<{ body: Body }>()
const { store, state, path } = useJob()
const t = useTerms()
const chosen = ref<string | null>(null)
const printing = ref(false)
const marginOpen = ref(false)
watch(chosen, id => {
  if (id) marginOpen.value = true
})
const outline = computed(() => state.value.procedure!.outlines.find(entry => entry.id === props.body.outline))
const bolts = computed(() => props.body.groups.flatMap(group => state.value.boards[group]?.bolts ?? []))
const pocket = computed(() => props.body.pockets.find(entry => entry.id === chosen.value) ?? null)
const plug = computed(() => props.body.plugs.find(entry => entry.id === chosen.value) ?? null)
const pieces = computed(() => piecesOf(props.body))
const count = computed(() => {
  const stands = pieces.value.map(piece => pieceStand(state.value, props.body.id, piece.id))
  const plugs = props.body.plugs.map(entry => plugStand(state.value, props.body.id, entry.id))
  return {
    out: stands.filter(stand => stand === 'out').length,
    seen: stands.filter(stand => stand === 'confirmed').length,
    off: plugs.filter(stand => stand === 'off').length,
    tugged: plugs.filter(stand => stand === 'tugged').length,
    loose: looseNow(state.value, props.body.id).length,
  }
})
const verdict = computed(() => {
  const { out, seen, off, tugged, loose } = count.value
  const all = pieces.value.length
  const said = [
    all === 0
      ? ''
      : out > 0
        ? `${out} of ${all} pieces out`
        : seen === all
          ? `All ${all} pieces in and looked at`
          : `All ${all} pieces in`,
    props.body.plugs.length === 0
      ? ''
      : off > 0
        ? `${off} of ${props.body.plugs.length} plugs off`
        : tugged === props.body.plugs.length
          ? `all ${tugged} plugs tugged at`
          : `all plugs on, ${tugged} tugged at`,
    loose > 0 ? `${loose} lying loose` : '',
  ]
  const [first = '', ...others] = said.filter(Boolean)
  return `${[first.charAt(0).toUpperCase() + first.slice(1), ...others].join(', ')}.`
})
/** The step in hand that this board has to say yes to. */
const asked = computed(() => {
  const order = state.value.plan?.order ?? []
  const id = order.find(each => {
    const activity = state.value.procedure!.operations.find(operation => operation.id === each)?.activity
    return !state.value.done[each] && activity?.kind === 'body' && activity.body === props.body.id
  })
  const operation = state.value.procedure!.operations.find(entry => entry.id === id)
  if (!operation || operation.activity?.kind !== 'body') return null
  return { operation, missing: bodyMissing(state.value, props.body.id, operation.activity.wants) }
})
function setPlugs(stand: PlugStand) {
  store.write('plugs-stand', { bodyId: props.body.id, plugIds: props.body.plugs.map(entry => entry.id), stand })
}
function setPieces(stand: PieceStand) {
  store.write('pieces-stand', { bodyId: props.body.id, pieceIds: pieces.value.map(entry => entry.id), stand })
}
useKeys({
  Backspace: store.undo,
  Escape: () => {
    chosen.value = null
  },
})
</script>

<template>
  <SheetWithMargin
    v-model:open="marginOpen"
    :margin-title="pocket ? 'This pocket' : plug ? 'This plug' : pieces.length > 0 ? 'Loose pieces' : 'The plug asked'"
  >
    <div v-if="outline">
      <div class="flex flex-wrap items-end gap-2">
        <slot />
        <button class="button max-sm:px-2!" @click="printing = true">Print</button>
        <button class="button max-sm:px-2!" @click="store.undo">Undo</button>
      </div>
      <p class="mt-3 text-xl font-semibold" data-testid="piece-count" aria-live="polite">{{ verdict }}</p>
      <div v-if="asked" class="mt-2 border-l-4 pl-4" :class="asked.missing ? 'border-attention' : 'border-good'">
        <p>
          <NuxtLink class="underline" :to="`${path('work')}?step=${asked.operation.id}`">{{
            t(asked.operation.title)
          }}</NuxtLink>
        </p>
        <p data-testid="piece-asked">{{ asked.missing ? t(asked.missing) : 'The board says yes to it.' }}</p>
      </div>
      <div class="mt-3 flex flex-wrap gap-2">
        <button class="button" @click="setPlugs('off')">Every plug off</button>
        <button class="button" @click="setPlugs('on')">Every plug on</button>
        <template v-if="pieces.length > 0">
          <button class="button" @click="setPieces('out')">Every piece out</button>
          <button class="button" @click="setPieces('in')">Every piece in</button>
        </template>
      </div>
      <div class="mt-2 grid gap-x-6 xl:grid-cols-[minmax(0,3fr)_minmax(17rem,2fr)]">
        <PiecePicture
          v-model="chosen"
          :body="body"
          :outline="outline"
          :bolts="bolts"
          class="mx-auto max-h-[calc(100dvh-15rem)] min-h-80 w-full"
        />
        <div>
          <h2 v-if="body.pockets.length > 0" class="label">Pockets</h2>
          <ul class="ruled">
            <li v-for="entry in body.pockets" :key="entry.id">
              <button
                class="flex min-h-11 w-full items-center justify-between gap-3 text-left"
                :class="chosen === entry.id ? 'font-semibold text-action' : ''"
                @click="chosen = entry.id"
              >
                <span>{{ t(entry.name) }}</span><span class="text-quiet">{{ t(entry.bag) }}</span>
              </button>
            </li>
          </ul>
          <h2 class="label mt-3">Plugs</h2>
          <ul class="ruled">
            <li v-for="entry in body.plugs" :key="entry.id">
              <button
                class="flex min-h-11 w-full items-center justify-between gap-3 text-left"
                :class="chosen === entry.id ? 'font-semibold text-action' : ''"
                @click="chosen = entry.id"
              >
                <span>{{ t(entry.name) }}</span><span class="text-quiet">{{ t(entry.wires) }}</span>
              </button>
            </li>
          </ul>
          <p class="mt-3 flex flex-wrap gap-x-4 gap-y-1 text-sm text-quiet">
            <template v-if="pieces.length > 0"
              ><span>● pocket, pieces in</span><span><span class="text-attention">○</span> so many out</span></template
            ><span>■ plug on</span><span><span class="text-attention">□</span> off</span
            ><span>✓ looked or tugged at</span
            ><span v-if="body.plugs.some(entry => entry.lock === 'false-tab')">bar: a tab that is none</span
            ><span v-if="bolts.some(bolt => bolt.holds)">ring round a bolt: it holds a bracket</span>
          </p>
        </div>
      </div>
      <PiecesPrint :open="printing" :body="body" :outline="outline" :bolts="bolts" @close="printing = false" />
    </div>
    <template #margin>
      <PocketCard v-if="pocket" :key="pocket.id" class="mb-6" :body="body" :pocket="pocket" />
      <PlugCard v-else-if="plug" :key="plug.id" class="mb-6" :body="body" :plug="plug" />
      <LoosePieces v-if="pieces.length > 0" :body="body" />
      <p v-else-if="!plug" class="text-quiet">A plug that is touched says here how it comes off.</p>
    </template>
  </SheetWithMargin>
</template>
