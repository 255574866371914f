<script setup lang="ts">
import { useWindowSize } from '@vueuse/core'
import { countBoard } from '../../../core/fasteners'
import type { FastenerGroup } from '../../../core/packs'
import { newId } from '../../log/ids'

/** The board of one group: the picture, the count, the list, and what was asked in the margin. */
const props = defineProps<{ group: FastenerGroup }>()
/** From this width on the margin stands beside the sheet. */
const DESK_PX = 1024
const { store, state } = useJob()
const t = useTerms()
const seenFrom = ref<'box' | 'engine'>('box')
const placing = ref(false)
const printing = ref(false)
const marginOpen = ref(false)
const chosen = ref<string | null>(null)
const board = computed(() => state.value.boards[props.group.id]!)
const outlines = computed(() => state.value.procedure?.outlines ?? [])
const outline = computed(() => outlines.value.find(entry => entry.id === board.value.outline) ?? outlines.value[0])
const bolt = computed(() => board.value.bolts.find(entry => entry.id === chosen.value) ?? null)
const count = computed(() => countBoard(board.value))
watch(
  () => props.group.id,
  () => {
    chosen.value = null
    placing.value = false
  },
)
const picture = useTemplateRef('picture')
const { width } = useWindowSize()
/** On a phone the margin is a drawer: the board moves up, so that the bolt asked stays in sight above it. */
watch(chosen, async id => {
  if (!id) return
  marginOpen.value = true
  await nextTick()
  if (width.value < DESK_PX) picture.value?.scrollIntoView({ block: 'start' })
})

const verdict = computed(() => {
  const { bolts, in: left, out, notAsked } = count.value
  if (bolts === 0) return 'No bolt is on this board. Correct the places to put them on.'
  if (out === 0) return `All ${bolts} are in.`
  if (left.length === 0)
    return notAsked.length
      ? `All ${bolts} are out; ${notAsked.length} not looked at yet.`
      : `All ${bolts} are out and looked at.`
  return `${left.length === 1 ? 'One is' : `${left.length} are`} still in, ${out} of ${bolts} out.`
})
function place(xMm: number, yMm: number) {
  const boltId = newId()
  if (store.write('bolt-placed', { group: props.group.id, boltId, xMm, yMm })) chosen.value = boltId
}
/** From where the bolt is by now: a key that is held down is quicker than the picture. */
function nudge(boltId: string, byXMm: number, byYMm: number) {
  const bolt = store.ahead.boards[props.group.id]!.bolts.find(each => each.id === boltId)!
  store.write('bolt-placed', { group: props.group.id, boltId, xMm: bolt.xMm + byXMm, yMm: bolt.yMm + byYMm })
}
function lift(boltId: string) {
  if (store.write('bolt-lifted', { group: props.group.id, boltId })) chosen.value = null
}
useKeys({
  v: () => {
    seenFrom.value = seenFrom.value === 'box' ? 'engine' : 'box'
  },
  p: () => {
    placing.value = !placing.value
  },
  Backspace: store.undo,
  Escape: () => {
    chosen.value = null
  },
})
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" :margin-title="bolt ? 'This bolt' : 'Figure'">
    <div v-if="outline">
      <div class="flex flex-wrap items-end gap-2">
        <slot />
        <button
          class="button max-sm:px-2!"
          :aria-pressed="seenFrom === 'engine'"
          @click="seenFrom = seenFrom === 'box' ? 'engine' : 'box'"
        >
          Seen from the {{ seenFrom }} <span class="figure text-quiet max-sm:hidden">V</span>
        </button>
        <button
          class="button max-sm:px-2!"
          :class="placing ? 'border-action! bg-tint!' : ''"
          :aria-pressed="placing"
          @click="placing = !placing"
        >
          {{ placing ? 'Places are right' : 'Correct places' }} <span class="figure text-quiet max-sm:hidden">P</span>
        </button>
        <button class="button max-sm:px-2!" @click="printing = true">Print</button>
        <button class="button max-sm:px-2!" @click="store.undo">Undo</button>
      </div>
      <p class="mt-3 text-xl font-semibold" data-testid="board-count" aria-live="polite">{{ verdict }}</p>
      <p v-if="placing" class="mt-2 border-l-4 border-action pl-3">
        Tap the outline to add a bolt, drag one to move it. Keys: arrows move the chosen one, Delete takes it off the
        board.
        <label class="mt-2 flex flex-wrap items-center gap-2"
          >Outline
          <select
            class="w-auto!"
            :value="board.outline"
            @change="
              store.write('board-outlined', { group: group.id, outline: ($event.target as HTMLSelectElement).value })
            "
          >
            <option v-for="entry in outlines" :key="entry.id" :value="entry.id">{{ t(entry.name) }}</option>
          </select>
          <button v-if="bolt" type="button" class="button" @click="lift(bolt.id)">Take this one off the board</button>
        </label>
      </p>
      <div ref="picture" class="mt-2 grid scroll-mt-1 gap-x-6 xl:grid-cols-[minmax(0,3fr)_minmax(17rem,2fr)]">
        <BoardPicture
          v-model="chosen"
          :board="board"
          :outline="outline"
          :seen-from="seenFrom"
          :placing="placing"
          class="mx-auto max-h-[calc(100dvh-15rem)] min-h-80 w-full"
          @place="place"
          @move="(boltId, xMm, yMm) => store.write('bolt-placed', { group: group.id, boltId, xMm, yMm })"
          @nudge="nudge"
          @lift="lift"
        />
        <div>
          <BoardList v-model="chosen" :board="board" :seen-from="seenFrom" />
          <p class="mt-3 flex flex-wrap gap-x-4 gap-y-1 text-sm text-quiet">
            <span>● in</span><span>○ out</span><span><span class="text-attention">◎</span> out, not looked at</span
            ><span>double ring: from the other side</span><span>bar: its length</span>
          </p>
        </div>
      </div>
      <BoardPrint
        :open="printing"
        :board="board"
        :outline="outline"
        :group="group"
        :seen-from="seenFrom"
        @close="printing = false"
      />
    </div>
    <template v-else
      ><slot />
      <p class="mt-4">
        This job was planned before layouts had outlines. Its bolts are counted in the list of what is off.
      </p></template
    >
    <template #margin>
      <BoltCard v-if="bolt" :key="bolt.id" class="mb-6" :board="board" :bolt="bolt" :seen-from="seenFrom" />
      <FigurePanel :group="group" />
    </template>
  </SheetWithMargin>
</template>
