<script setup lang="ts">
import type { Trouble } from '../../../core/job'
import { momentText } from '../../words/moments'

/** A trouble that is open, and the way to clear it. */
const props = defineProps<{ trouble: Trouble }>()
const { store } = useJob()
const clearing = ref(false)
const how = ref('')
const field = computed(() => `how-${props.trouble.troubleId}`)

function clear() {
  if (!how.value.trim()) return
  if (store.write('trouble-cleared', { troubleId: props.trouble.troubleId, how: how.value.trim() }))
    clearing.value = false
}
</script>

<template>
  <div class="border-l-4 border-danger bg-attention-tint px-4 py-3">
    <p class="text-lg"><span class="label">Trouble.</span> {{ trouble.text }}</p>
    <p v-if="trouble.waitsFor">
      Waits for {{ trouble.waitsFor
      }}<template v-if="trouble.until">, expected {{ momentText(trouble.until) }}</template
      >.
    </p>
    <form v-if="clearing" class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="clear">
      <div class="min-w-48 flex-1">
        <Field v-slot="{ control }" :id="field" label="How it was solved"
          ><input v-bind="control" v-model="how" class="mt-1" maxlength="1000"
        /></Field>
      </div>
      <button class="button button-main" :disabled="!how.trim()">Cleared</button>
    </form>
    <button v-else class="mt-1 min-h-11 font-semibold underline" @click="clearing = true">It is solved</button>
  </div>
</template>
