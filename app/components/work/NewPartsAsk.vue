<script setup lang="ts">
import { newPartsOf } from '../../../core/job'

/** What goes back at this step and has to be new. */
const props = defineProps<{ stepId: string }>()
const { store, state } = useJob()
const t = useTerms()
const wanted = computed(() => newPartsOf(state.value, props.stepId))
</script>

<template>
  <ul v-if="wanted.length" class="mt-4 grid gap-2">
    <li
      v-for="entry in wanted"
      :key="entry.item.id"
      class="flex flex-wrap items-center gap-3 border-l-4 pl-4 text-lg"
      :class="entry.by ? 'border-good' : 'border-attention'"
    >
      <span class="min-w-0 flex-1 basis-56"
        ><span class="label">{{ t(entry.item.name) }}: new ones.</span> {{ t(entry.because) }}</span
      >
      <span v-if="entry.by" class="font-semibold text-good">✓ new</span>
      <button
        v-else
        class="button border-attention!"
        @click="store.write('entry-replaced', { itemId: entry.item.id, by: 'New ones, of the kind the book names' })"
      >
        New ones are going in<span class="sr-only">: {{ t(entry.item.name) }}</span>
      </button>
    </li>
  </ul>
</template>
