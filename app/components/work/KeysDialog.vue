<script setup lang="ts">
defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const keys = [
  ['Space', 'Done, or what stands on the main button'],
  ['D', 'Done, with the steps after it that ask for nothing'],
  ['Backspace', 'Undo the last act'],
  ['M', 'Measure: the reading of this step'],
  ['T', 'Timer on or off'],
  ['N', 'Note'],
  ['X', 'Trouble'],
  ['I', 'Something else is in the way'],
  ['W', 'Why here'],
  ['?', 'This list'],
]
</script>

<template>
  <BaseDialog :open="open" title="Keys" @close="emit('close')">
    <dl class="ruled">
      <div v-for="[key, what] in keys" :key="key" class="grid grid-cols-[7rem_1fr] py-2">
        <dt class="figure font-bold">{{ key }}</dt>
        <dd>{{ what }}</dd>
      </div>
    </dl>
  </BaseDialog>
</template>
