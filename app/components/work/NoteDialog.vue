<script setup lang="ts">
const props = defineProps<{ open: boolean; stepId: string | null }>()
const emit = defineEmits<{ close: [] }>()
const { store } = useJob()
const text = ref('')

function submit() {
  if (!text.value.trim()) return
  if (store.write('note-added', { stepId: props.stepId, text: text.value.trim() })) {
    text.value = ''
    emit('close')
  }
}
</script>

<template>
  <BaseDialog :open="open" title="Note at this step" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="submit">
      <Field v-slot="{ control }" id="note-text" label="Note" hide-label>
        <textarea v-bind="control" v-model="text" maxlength="2000" placeholder="What the next person should know" />
      </Field>
      <button class="button button-main button-big" :disabled="!text.trim()">Keep the note</button>
    </form>
  </BaseDialog>
</template>
