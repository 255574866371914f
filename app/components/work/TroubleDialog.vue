<script setup lang="ts">
import { newId } from '../../lib/ids'

/** Writes down that something will not go on, and what the job waits for if it waits. */
const props = defineProps<{ open: boolean, stepId: string | null }>()
const emit = defineEmits<{ close: [] }>()
const { store } = useJob()
const text = ref('')
const waits = ref<'no' | 'yes'>('no')
const waitsFor = ref('')
const until = ref('')
const ready = computed(() => text.value.trim() && (waits.value === 'no' || waitsFor.value.trim()))

function submit() {
  if (!ready.value) return
  const waiting = waits.value === 'yes'
  const written = store.write('trouble-raised', {
    troubleId: newId(), stepId: props.stepId, text: text.value.trim(),
    waitsFor: waiting ? waitsFor.value.trim() : null,
    until: waiting && until.value ? new Date(until.value).toISOString() : null,
  })
  if (!written) return
  text.value = waitsFor.value = until.value = ''
  waits.value = 'no'
  emit('close')
}
</script>

<template>
  <BaseDialog :open="open" title="Trouble" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="submit">
      <div>
        <label class="label" for="trouble-text">What will not go</label>
        <textarea id="trouble-text" v-model="text" class="mt-1" maxlength="1000" placeholder="Bolt seized, part wrong, will not come off" />
      </div>
      <ChoiceRow v-model="waits" label="Does the job wait for something" :choices="[{ id: 'no', label: 'No, I go on' }, { id: 'yes', label: 'Yes, it waits' }]" />
      <template v-if="waits === 'yes'">
        <div><label class="label" for="trouble-waits">It waits for</label><input id="trouble-waits" v-model="waitsFor" class="mt-1" maxlength="200" placeholder="Part, machine shop, helper"></div>
        <div><label class="label" for="trouble-until">Expected, if known</label><input id="trouble-until" v-model="until" class="mt-1" type="datetime-local"></div>
      </template>
      <button class="button button-main button-big" :disabled="!ready">Write it down</button>
    </form>
  </BaseDialog>
</template>
