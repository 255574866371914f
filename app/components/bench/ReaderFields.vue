<script setup lang="ts">
import type { SheetValues } from '../../../core/bench'
import type { SheetField } from '../../../core/packs'
import { liveValues } from '../../words/live-entry'

/** A reader that speaks, for the fields of a sheet that it knows: asked once, it fills them in; each can be typed over. */
const props = defineProps<{ fields: SheetField[] }>()
const emit = defineEmits<{ read: [values: SheetValues] }>()
const took = ref('')
const reader = useReader({
  values: told => {
    const values = liveValues(props.fields, told)
    const count = Object.keys(values).length
    took.value =
      count === 0
        ? 'It tells nothing of what this sheet asks.'
        : `${count} ${count === 1 ? 'field' : 'fields'} filled in from the reader.`
    if (count > 0) emit('read', values)
  },
})
watch(reader.name, name => {
  if (name) reader.readValues()
  else took.value = ''
})
</script>

<template>
  <div class="grid gap-1">
    <SpeakingTool id="values-reader" v-model:address="reader.address.value" what="A reader that speaks" :tool="reader">
      <button type="button" class="button" @click="reader.readValues()">Take its values</button>
    </SpeakingTool>
    <p aria-live="polite" class="text-quiet" data-testid="values-took">{{ took }}</p>
  </div>
</template>
