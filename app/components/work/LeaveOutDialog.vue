<script setup lang="ts">
import { notToBeLeftOut, notToBeTakenOver } from '../../../core/job'
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
const REASONS = { none: 'This car has none', need: 'Not needed this time', others: 'Somebody else did it', own: '' }
const canGo = computed(() => notToBeLeftOut(store.ahead, props.step.id) === null)
const canBeTaken = computed(() => notToBeTakenOver(store.ahead, [props.step.id]) === null)
const why = ref<keyof typeof REASONS>('none')
const words = ref('')
const by = ref('')
const reason = computed(() => REASONS[why.value] || words.value.trim())
watch(
  () => props.open,
  open => {
    if (open) why.value = canGo.value ? 'none' : 'others'
  },
  { immediate: true },
)

function takeOver() {
  const taken = store.write('steps-taken-over', {
    stepIds: [props.step.id],
    by: by.value.trim() || 'Somebody else',
    at: nowIso(),
    utcOffsetMinutes: utcOffsetMinutes(),
    asItStands: true,
  })
  if (!taken) return
  messages.say(`Done by others: ${t(props.step.title)}. What it took off is in the Car view, to be looked for.`)
  emit('left')
}
function submit() {
  if (why.value === 'others') return takeOver()
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
  <BaseDialog :open="open" title="Not for us" first="[role=radio][aria-checked=true]" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="submit">
      <p v-if="why === 'others'">
        “{{ t(step.title) }}” counts as done, and takes none of your time. What came off is looked for before it goes
        back.
      </p>
      <p v-else>
        “{{ t(step.title) }}” leaves the plan, and what would put it back with it. What waits for it waits no more. Undo
        brings it back.
      </p>
      <ChoiceRow
        v-model="why"
        label="Why"
        :choices="[
          ...(canGo ? [{ id: 'none' as const, label: REASONS.none }] : []),
          ...(canGo ? [{ id: 'need' as const, label: REASONS.need }] : []),
          ...(canBeTaken ? [{ id: 'others' as const, label: REASONS.others }] : []),
          ...(canGo ? [{ id: 'own' as const, label: 'Something else' }] : []),
        ]"
      />
      <Field v-if="why === 'own'" v-slot="{ control }" id="leave-why" label="The reason"
        ><input v-bind="control" v-model="words" class="mt-1" maxlength="200"
      /></Field>
      <Field v-if="why === 'others'" v-slot="{ control }" id="leave-by" label="Who"
        ><input v-bind="control" v-model="by" class="mt-1" maxlength="120" placeholder="Somebody else"
      /></Field>
      <button class="button button-main button-big" :disabled="!reason">
        {{ why === 'others' ? 'Done by others' : 'Leave it out' }}
      </button>
    </form>
  </BaseDialog>
</template>
