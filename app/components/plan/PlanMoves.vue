<script setup lang="ts">
import { minutesText } from '../../words/durations'
import { momentText } from '../../words/moments'

/** What made the job longer or shorter since it was planned, and why; the newest first. */
const { state } = useJob()
const t = useTerms()
const SHOWN = 6
const whole = ref(false)
const moves = computed(() => state.value.moves.toReversed())
const shown = computed(() => (whole.value ? moves.value : moves.value.slice(0, SHOWN)))
const inAll = computed(() => Math.round(moves.value.reduce((sum, move) => sum + move.minutes, 0)))
const signed = (minutes: number) => `${minutes < 0 ? '−' : '+'}${minutesText(Math.abs(minutes))}`
</script>

<template>
  <section v-if="moves.length" class="grid gap-2" aria-labelledby="moved" data-testid="plan-moves">
    <h2 id="moved" class="mt-3 flex justify-between gap-3 border-b border-ink pb-1 text-lg">
      <span>What moved it</span><span class="figure">{{ signed(inAll) }}</span>
    </h2>
    <ul class="ruled">
      <li v-for="move in shown" :key="`${move.at} ${move.words}`" class="grid grid-cols-[1fr_auto] gap-x-3 py-1.5">
        <span
          >{{ t(move.words) }}.<template v-if="move.because">
            {{ t(move.because) }}{{ /[.!?]$/.test(move.because) ? '' : '.' }}</template
          ></span
        ><span class="figure">{{ signed(move.minutes) }}</span>
        <span class="col-span-2 text-sm text-quiet">{{ momentText(move.at) }}</span>
      </li>
    </ul>
    <button v-if="moves.length > SHOWN" class="min-h-11 text-left underline" @click="whole = !whole">
      {{ whole ? 'Only the newest' : `All ${moves.length}` }}
    </button>
  </section>
</template>
