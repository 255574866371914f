<script setup lang="ts">
import { nowMs } from '../../device/clock'
import { momentText } from '../../words/moments'
import { localField } from '../../words/dates'

/** When the customer was told it would be done. */
const { store, state } = useJob()
const changing = ref(false)
const moved = computed(() => state.value.moves.at(-1) ?? null)
const typed = ref('')
function open() {
  typed.value = localField(state.value.promisedAt ? new Date(state.value.promisedAt) : new Date(nowMs() + 86_400_000))
  changing.value = true
}
function keep(at: Date | null) {
  if (at && Number.isNaN(at.getTime())) return
  if (store.write('promised', { at: at ? at.toISOString() : null })) changing.value = false
}
</script>

<template>
  <div>
    <p v-if="!changing" class="flex flex-wrap items-center gap-x-3">
      <span
        >{{ state.promisedAt ? 'Promised for' : 'No time is promised.' }}
        <span v-if="state.promisedAt" class="figure font-semibold">{{ momentText(state.promisedAt) }}</span></span
      >
      <button class="min-h-11 font-semibold underline" @click="open">
        {{ state.promisedAt ? 'Change it' : 'Promise a time' }}
      </button>
      <button v-if="state.promisedAt" class="min-h-11 underline" @click="keep(null)">Take it back</button>
    </p>
    <p v-if="!changing && moved" class="text-quiet">Moved last: <MovedLast :move="moved" /></p>
    <form v-if="changing" class="flex flex-wrap items-end gap-2" @submit.prevent="keep(new Date(typed))">
      <div class="w-60">
        <Field v-slot="{ control }" id="promised-at" label="Promised for"
          ><input v-bind="control" v-model="typed" type="datetime-local" class="figure mt-1"
        /></Field>
      </div>
      <PromiseByCost class="w-full" @take="at => (typed = localField(at))" />
      <button class="button button-main">Keep it</button
      ><button type="button" class="button" @click="changing = false">Leave it</button>
    </form>
  </div>
</template>
