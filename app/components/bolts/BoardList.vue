<script setup lang="ts">
import { clockPosition, isOut } from '../../../core/fasteners'
import type { BoltBoard } from '../../../core/fasteners'
import { boltSize, boltState } from '../../words/bolt-words'

/** The board in words. */
defineProps<{ board: BoltBoard; seenFrom: 'box' | 'engine' }>()
const chosen = defineModel<string | null>({ required: true })
const t = useTerms()
const units = useUnits()
</script>

<template>
  <ol class="ruled" aria-label="Bolts">
    <li v-for="(bolt, index) in board.bolts" :key="bolt.id">
      <button
        class="grid min-h-12 w-full grid-cols-[2.2rem_3.6rem_minmax(0,1fr)] items-baseline gap-x-2 py-2 text-left"
        :class="chosen === bolt.id ? 'bg-tint' : ''"
        :aria-pressed="chosen === bolt.id"
        @click="chosen = bolt.id"
      >
        <span class="figure text-lg font-bold">{{ index + 1 }}</span>
        <span class="figure">{{ clockPosition(bolt.xMm, bolt.yMm, seenFrom) }}</span>
        <span>
          <span
            class="font-semibold"
            :class="
              isOut(bolt) && bolt.condition === null
                ? 'text-attention'
                : bolt.condition === 'sheared' || bolt.condition === 'stripped'
                  ? 'text-danger'
                  : ''
            "
            >{{ boltState(bolt) }}</span
          >
          <span v-if="bolt.suspect" class="text-danger">, suspect</span>
          <span v-if="boltSize(bolt, units.reading)" class="figure block">{{ boltSize(bolt, units.reading) }}</span>
          <span class="block text-sm text-quiet">{{
            [
              bolt.holds ? `holds ${t(bolt.holds)}` : '',
              bolt.from === 'engine' ? 'from the engine side' : '',
              bolt.singleUse ? 'renew' : '',
              bolt.note,
            ]
              .filter(Boolean)
              .join(' · ')
          }}</span>
        </span>
      </button>
    </li>
  </ol>
</template>
