<script setup lang="ts">
import type { OpenEntry } from '../../../core/job'

/** Something open before the hand-over; it is closed in the work, or left with a reason. */
const props = defineProps<{ entry: OpenEntry }>()
const { store } = useJob()
const t = useTerms()
const writing = ref(false)
const reason = ref('')
const field = computed(() => `reason-${props.entry.entry.replace(/[^\w-]/g, '-')}`)

function submit() {
  if (!reason.value.trim()) return
  if (store.write('left-open', { entry: props.entry.entry, reason: reason.value.trim() })) writing.value = false
}
</script>

<template>
  <li class="py-1.5">
    <div class="flex flex-wrap items-center justify-between gap-3">
      <span>{{ t(entry.name) }}<span v-if="entry.item" class="figure text-quiet"> {{ entry.count }} {{ entry.item.state }}</span></span>
      <span v-if="entry.reason && !writing" class="text-quiet">left: {{ entry.reason }}</span>
      <button v-if="!writing" class="button" @click="writing = true">{{ entry.reason ? 'Change the reason' : 'Leave it, with a reason' }}</button>
    </div>
    <form v-if="writing" class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="submit">
      <div class="min-w-48 flex-1"><label class="label" :for="field">Why it stays so</label><input :id="field" v-model="reason" class="mt-1" maxlength="300"></div>
      <button class="button button-main" :disabled="!reason.trim()">Keep</button>
      <button type="button" class="button" @click="writing = false">Back</button>
    </form>
  </li>
</template>
