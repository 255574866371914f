<script setup lang="ts">
import { boltName, isOut } from '../../../core/fasteners'
import type { BoardBolt, BoltBoard, BoltCondition } from '../../../core/fasteners'
import { boltsBackWith, boltsOffWith } from '../../../core/job'
import type { StepView } from '../../../core/job'
import { boltSize, conditionLabel } from '../../words/bolt-words'

/** The bolts a step takes out or puts back, asked one by one or all at once; those still in are seen at a glance. */
const props = defineProps<{ step: StepView }>()
const { store, state, path } = useJob()
const t = useTerms()
const units = useUnits()
const out = computed(() => boltsOffWith(state.value, props.step.id))
const back = computed(() => (props.step.operation ? boltsBackWith(state.value, props.step.operation) : []))
const conditions: BoltCondition[] = ['good', 'corroded', 'stretched']
const take = (board: BoltBoard, bolts: BoardBolt[], condition: BoltCondition) =>
  store.write('bolts-out', { group: board.group, boltIds: bolts.map(bolt => bolt.id), condition })
const number = (board: BoltBoard, bolt: BoardBolt) => board.bolts.indexOf(bolt) + 1
const isLeft = (bolt: BoardBolt) => !isOut(bolt) || bolt.condition === null
/** Those that are left, whatever is still on its way to the disk. */
function takeRest(group: string) {
  const found = boltsOffWith(store.ahead, props.step.id).find(entry => entry.board.group === group)
  const left = found?.bolts.filter(isLeft) ?? []
  if (left.length > 0) take(found!.board, left, 'good')
}
const ask = ref<BoardBolt | null>(null)
function takeAsked(board: BoltBoard, condition: BoltCondition) {
  take(board, [ask.value!], condition)
  ask.value = null
}
</script>

<template>
  <section v-if="out.length || back.length" aria-label="Bolt board">
    <div v-for="{ board, bolts } in out" :key="board.group" class="mt-4 border-y border-rule py-3">
      <p class="flex flex-wrap items-baseline justify-between gap-x-3">
        <span class="label"
          >On the board: <span class="figure">{{ bolts.filter(isOut).length }} of {{ bolts.length }}</span> out</span
        >
        <NuxtLink no-prefetch :to="path(`bolts/${board.group}`)" class="underline">See the board</NuxtLink>
      </p>
      <ul class="mt-2 flex flex-wrap gap-2">
        <li v-for="bolt in bolts" :key="bolt.id">
          <button
            class="grid min-h-14 min-w-20 place-items-center rounded-soft border-2 px-3 py-1"
            :class="
              isOut(bolt)
                ? bolt.condition === null
                  ? 'border-attention bg-attention-tint'
                  : 'border-line bg-sheet'
                : 'border-ink bg-(--ink) text-(--paper)'
            "
            :aria-label="`${boltName(board, bolt)}, ${isOut(bolt) ? `out, ${bolt.condition ?? 'not looked at'}` : 'in'}`"
            :aria-expanded="ask?.id === bolt.id"
            @click="ask = ask?.id === bolt.id ? null : bolt"
          >
            <span class="figure text-lg font-bold">{{ number(board, bolt) }}</span>
            <span class="text-sm">{{
              isOut(bolt) ? (bolt.condition ? conditionLabel(bolt.condition).toLowerCase() : 'look') : 'in'
            }}</span>
          </button>
        </li>
      </ul>
      <div v-if="ask && bolts.some(bolt => bolt.id === ask!.id)" class="mt-2 border-l-4 border-action pl-3">
        <p>
          <span class="font-semibold first-letter:uppercase">{{ boltName(board, ask) }}</span><template
            v-if="boltSize(ask, units.reading)"
            >, <span class="figure">{{ boltSize(ask, units.reading) }}</span></template
          ><template v-if="ask.holds">, holds {{ t(ask.holds).toLowerCase() }}</template
          >. Out, and it looks
        </p>
        <div class="mt-1 flex flex-wrap gap-2">
          <button v-for="condition in conditions" :key="condition" class="button" @click="takeAsked(board, condition)">
            {{ conditionLabel(condition).toLowerCase() }}
          </button>
        </div>
      </div>
      <button v-if="bolts.some(isLeft)" class="button mt-2" @click="takeRest(board.group)">
        {{ bolts.every(bolt => !isOut(bolt)) ? `All ${bolts.length}` : 'The rest' }} out and good
      </button>
    </div>
    <p v-for="{ board, bolts } in back" :key="board.group" class="mt-4 border-y border-rule py-3">
      <span class="label">Back from the board: </span>
      <span v-for="(bolt, index) in bolts" :key="bolt.id"
        >{{ index ? '; ' : '' }}<span class="figure font-bold">{{ number(board, bolt) }}</span>
        {{
          [
            boltSize(bolt, units.reading),
            bolt.holds ? `with ${t(bolt.holds).toLowerCase()}` : '',
            bolt.from === 'engine' ? 'from the engine side' : '',
            bolt.suspect ? 'suspect' : '',
            bolt.condition && bolt.condition !== 'good' ? `was ${conditionLabel(bolt.condition).toLowerCase()}` : '',
            bolt.singleUse ? 'new' : '',
          ]
            .filter(Boolean)
            .join(', ')
        }}</span
      >.
      <NuxtLink no-prefetch :to="path(`bolts/${board.group}`)" class="underline">See the board</NuxtLink>
    </p>
  </section>
</template>
