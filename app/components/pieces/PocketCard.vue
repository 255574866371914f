<script setup lang="ts">
import { pieceStand, springVerdicts } from '../../../core/job'
import type { PieceStand, SpringOf } from '../../../core/job'
import type { Body, Piece, Pocket } from '../../../core/packs'

/** The pocket that was asked: what lies in it, the deepest first, how each piece stands, and its springs against their sheet. */
const props = defineProps<{ body: Body; pocket: Pocket }>()
const { store, state } = useJob()
const t = useTerms()
const units = useUnits()
const stands: { id: PieceStand; label: string }[] = [
  { id: 'out', label: 'out' },
  { id: 'in', label: 'in' },
  { id: 'confirmed', label: 'looked at' },
]
const springOfs: SpringOf[] = ['old', 'returned']
const verdicts = computed(() => springVerdicts(state.value, props.body))
const nameOfPocket = (springId: string) =>
  t(props.body.pockets.find(pocket => pocket.pieces.some(piece => piece.id === springId))?.name ?? '').toLowerCase()
const standOf = (piece: Piece) => pieceStand(state.value, props.body.id, piece.id)
function set(pieces: Piece[], stand: PieceStand) {
  store.write('pieces-stand', { bodyId: props.body.id, pieceIds: pieces.map(piece => piece.id), stand })
}
/** What the sheet says of a spring, in a line. */
const bySheet = ({ spring }: Piece) =>
  spring
    ? [
        spring.paint,
        spring.wireMm && `wire ${units.measure(spring.wireMm, 'mm', 2)}`,
        spring.coilDiameterMm && `coil ${units.measure(spring.coilDiameterMm, 'mm', 1)}`,
        spring.activeCoils && `${spring.activeCoils} turns`,
        spring.freeLengthMm && `${units.measure(spring.freeLengthMm, 'mm', 1)} long`,
      ]
        .filter(Boolean)
        .join(', ')
    : ''
</script>

<template>
  <section class="grid gap-3" aria-live="polite">
    <h2 class="text-lg">{{ t(pocket.name) }}</h2>
    <p class="text-quiet">Goes into {{ t(pocket.bag) }}. The deepest piece stands first.</p>
    <div class="flex flex-wrap gap-2">
      <button class="button" @click="set(pocket.pieces, 'out')">All out</button>
      <button class="button" @click="set(pocket.pieces, 'in')">All in</button>
      <button class="button" @click="set(pocket.pieces, 'confirmed')">All looked at</button>
    </div>
    <ul class="ruled">
      <li v-for="piece in pocket.pieces" :key="piece.id" class="py-2">
        <p class="font-semibold first-letter:uppercase">{{ t(piece.name) }}</p>
        <p v-if="bySheet(piece)" class="text-sm text-quiet">{{ bySheet(piece) }}</p>
        <StandRow
          class="mt-1"
          :label="`${t(pocket.name)}: ${t(piece.name)}`"
          :stands="stands"
          :stand="standOf(piece)"
          away="out"
          @set="set([piece], $event)"
        />
        <template v-if="piece.kind === 'spring'">
          <SpringForm
            v-for="of in springOfs"
            :key="`${piece.id}-${of}`"
            class="mt-2"
            :body-id="body.id"
            :piece="piece"
            :of="of"
            :verdict="verdicts[piece.id]?.[of] ?? null"
            :pocket-of="nameOfPocket"
          />
        </template>
      </li>
    </ul>
  </section>
</template>
