<script setup lang="ts">
import { boltName, isOut } from '../../../core/fasteners'
import type { BoardBolt, BoltBoard, BoltCondition } from '../../../core/fasteners'
import { boltSize, boltState, conditionLabel, headLabels, materialLabels } from '../../words/bolt-words'

/** The bolt that was asked: where it is, what it is, and what can be done with it. */
const props = defineProps<{ board: BoltBoard; bolt: BoardBolt; seenFrom: 'box' | 'engine' }>()
const { store } = useJob()
const t = useTerms()
const units = useUnits()
const editing = ref(false)
const broken = ref(false)
const ids = computed(() => ({ group: props.board.group, boltIds: [props.bolt.id] }))
const stands = { started: 'started by hand', snug: 'snug', figure: 'at its figure', feel: 'tight by feel' } as const
const quick: BoltCondition[] = ['good', 'corroded', 'stretched']
const head = computed(() => headLabels.find(entry => entry.id === props.bolt.head)?.label)
const material = computed(() =>
  t(materialLabels.find(entry => entry.id === props.bolt.material)?.label ?? '').toLowerCase(),
)
</script>

<template>
  <section class="grid gap-3" aria-live="polite">
    <h2 class="text-lg first-letter:uppercase">{{ boltName(board, bolt, seenFrom) }}</h2>
    <p>
      <span class="font-semibold first-letter:uppercase">{{ boltState(bolt) }}</span><template
        v-if="boltSize(bolt, units.reading)"
        >, <span class="figure">{{ boltSize(bolt, units.reading) }}</span></template
      ><template v-if="head">, {{ head.toLowerCase() }}</template
      >.
      <template v-if="material">Goes into {{ material }}.</template>
      <template v-if="bolt.from === 'engine'"> From the engine side.</template>
      <template v-if="bolt.holds"> Holds: {{ t(bolt.holds) }}.</template>
      <template v-if="bolt.singleUse"> Renewed every time.</template>
    </p>
    <p v-if="bolt.suspect" class="border-l-4 border-danger pl-3">
      Suspect: one of its group broke, and this one has had the same load. Measure it or renew it.
    </p>
    <p v-if="bolt.note" class="border-l-4 border-rule pl-3 italic">{{ bolt.note }}</p>
    <template v-if="!isOut(bolt)">
      <p class="label">It is out, and looks</p>
      <div class="flex flex-wrap gap-2">
        <button
          v-for="condition in quick"
          :key="condition"
          class="button"
          @click="store.write('bolts-out', { ...ids, condition })"
        >
          {{ conditionLabel(condition).toLowerCase() }}
        </button>
      </div>
    </template>
    <div v-else-if="bolt.condition === null" class="flex flex-wrap gap-2">
      <button
        v-for="condition in quick"
        :key="condition"
        class="button"
        @click="store.write('bolts-out', { ...ids, condition })"
      >
        {{ conditionLabel(condition).toLowerCase() }}
      </button>
    </div>
    <div v-if="bolt.stand !== 'untouched'">
      <p class="label">{{ isOut(bolt) ? 'It is back in, and stands' : 'It stands' }}</p>
      <div class="mt-1 flex flex-wrap gap-2">
        <button
          v-for="(word, stand) in stands"
          :key="stand"
          class="button"
          :aria-pressed="bolt.stand === stand"
          @click="store.write('bolts-in', { ...ids, stand })"
        >
          {{ word }}
        </button>
      </div>
    </div>
    <div class="flex flex-wrap gap-2">
      <button class="button" @click="editing = true">Size, tool, note</button>
      <button class="button" @click="broken = true">It broke</button>
    </div>
    <BaseDialog :open="editing" :title="`Board: ${boltName(board, bolt, seenFrom)}`" @close="editing = false">
      <BoltEditor :board="board" :bolt="bolt" :seen-from="seenFrom" @done="editing = false" />
    </BaseDialog>
    <BrokenBoltDialog :open="broken" :board="board" :bolt="bolt" @close="broken = false" />
  </section>
</template>
