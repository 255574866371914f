<script setup lang="ts">
import type { RunStop, TighteningRun } from '../../../core/job'
import { boltVerdicts } from '../../words/verdicts'

/** A bolt that stopped its run: what was seen, what it means, what to do, and what was done. */
const props = defineProps<{ run: TighteningRun; stop: RunStop }>()
const emit = defineEmits<{ cleared: [] }>()
const { store, state } = useJob()
const t = useTerms()
const broken = ref(false)
const verdict = computed(() => boltVerdicts[props.stop.verdict])
const ways: Record<string, string[]> = {
  drag: ['Cleaned both threads, started again by hand', 'New bolt, hole cleaned'],
  early: ['Right length put in', 'Hole cleaned and blown dry of oil'],
  soft: ['What was between is out, part sits flush', 'Looked: it is soft by design'],
  yielding: ['New bolt, hole looked at'],
  'gave-way': ['New bolt, thread sound', 'Thread insert set, new bolt'],
}
const board = computed(() => state.value.boards[props.run.group])
const bolt = computed(() => board.value?.bolts.find(entry => entry.id === props.run.boltIds?.[props.stop.bolt]) ?? null)
function clear(how: string) {
  if (store.write('stop-cleared', { runId: props.run.runId, how })) emit('cleared')
}
</script>

<template>
  <section class="border-4 border-danger p-4" role="alert" data-testid="stop">
    <h2 class="text-2xl text-danger">Bolt {{ stop.bolt + 1 }}: {{ verdict.name.toLowerCase() }}. Stop.</h2>
    <p class="mt-1 text-lg">{{ t(stop.because) }} {{ verdict.means }}</p>
    <p class="mt-2 text-lg font-semibold">{{ verdict.todo }}</p>
    <p class="label mt-3">When it is put right</p>
    <div class="mt-1 flex flex-wrap gap-2">
      <button v-for="way in ways[stop.verdict]" :key="way" class="button" @click="clear(way)">{{ way }}</button>
      <button
        v-if="bolt && board && (stop.verdict === 'gave-way' || stop.verdict === 'yielding')"
        class="button border-danger!"
        @click="broken = true"
      >
        It has gone: the way out
      </button>
    </div>
    <BrokenBoltDialog
      v-if="bolt && board"
      :open="broken"
      :board="board"
      :bolt="bolt"
      first="sheared"
      @close="broken = false"
    />
  </section>
</template>
