<script setup lang="ts">
import type { StepView } from '../../../core/job'
import { nowIso } from '../../device/clock'
import { minutesText } from '../../words/durations'
import { utcOffsetMinutes } from '../../words/utc-offset'

/** A step that this car has no use for leaves the plan, with the step that would undo it, and with its reason. */
const props = defineProps<{ open: boolean; step: StepView }>()
const emit = defineEmits<{ close: []; left: [] }>()
const { store } = useJob()
const messages = useMessages()
const t = useTerms()
const REASONS = { none: 'This car has none', need: 'Not needed this time', own: '' }
const why = ref<keyof typeof REASONS>('none')
const words = ref('')
const reason = computed(() => REASONS[why.value] || words.value.trim())

function submit() {
  if (!reason.value) return
  const before = store.ahead.plan!.totals.minutes
  const left = store.write('step-left-out', {
    stepId: props.step.id,
    reason: reason.value,
    at: nowIso(),
    utcOffsetMinutes: utcOffsetMinutes(),
  })
  if (!left) return
  const less = Math.round(before - store.ahead.plan!.totals.minutes)
  messages.say(
    `Left out: ${t(props.step.title)}. ${less > 0 ? `The job takes ${minutesText(less)} less.` : 'The job takes no less.'}`,
  )
  words.value = ''
  emit('left')
}
</script>

<template>
  <BaseDialog :open="open" title="Not on this car" first="[role=radio][aria-checked=true]" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="submit">
      <p>
        “{{ t(step.title) }}” leaves the plan, and what would put it back with it. What waits for it waits no more. Undo
        brings it back.
      </p>
      <ChoiceRow
        v-model="why"
        label="Why"
        :choices="[
          { id: 'none', label: REASONS.none },
          { id: 'need', label: REASONS.need },
          { id: 'own', label: 'Something else' },
        ]"
      />
      <Field v-if="why === 'own'" v-slot="{ control }" id="leave-why" label="The reason"
        ><input v-bind="control" v-model="words" class="mt-1" maxlength="200"
      /></Field>
      <button class="button button-main button-big" :disabled="!reason">Leave it out</button>
    </form>
  </BaseDialog>
</template>
