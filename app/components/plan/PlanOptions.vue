<script setup lang="ts">
import { nowIso } from '../../device/clock'
import { pastOf, planSetting } from '../../../core/job'
import { utcOffsetMinutes } from '../../words/utc-offset'

/** How the job is done, as sentences with a choice inside; each other choice shows what it would change. */
const t = useTerms()
const { state } = useJob()
const { pack, gone, load } = usePack()
const { choose: send, renew, sending } = useOptionSwitch()
const closed = computed(() => state.value.handedOver !== null || state.value.calledOff !== null)

const { preview, differences, problem, cancel } = usePlanPreview(() => {
  const { procedure, done, circumstances } = state.value
  if (!pack.value || !procedure || closed.value) return null
  const past = pastOf(state.value)
  const clock = {
    at: nowIso(),
    utcOffsetMinutes: utcOffsetMinutes(),
    minutes: past?.steps.at(-1)?.finishMinutes ?? 0,
  }
  return {
    pack: pack.value,
    options: procedure.options,
    setting: planSetting(circumstances, procedure.hands, clock),
    past,
    stand: { procedure, done: Object.keys(done), car: state.value.car },
  }
})

function choose(optionId: string, choiceId: string) {
  const difference = differences.value[`${optionId}=${choiceId}`]
  cancel()
  const renews = pack.value!.options.find(option => option.id === optionId)?.renews
  const part = renews === undefined ? undefined : pack.value!.bench.reachable.find(entry => entry.id === renews)
  if (!part) return void send(optionId, choiceId, difference?.order ?? undefined)
  const decision = choiceId === part.option!.left ? ('leave' as const) : ('renew' as const)
  void renew([{ part, decision, ...(decision === 'renew' ? { way: choiceId } : {}) }], 'Chosen in the plan.')
}
</script>

<template>
  <section aria-label="How it is done" :aria-busy="sending">
    <p v-if="gone" class="border-l-4 border-attention pl-4">
      The ways of doing it cannot be shown. {{ gone }} The plan as it stands is kept.
      <button class="font-semibold underline" @click="load">Try again</button>
    </p>
    <p v-else-if="!pack" class="text-quiet" role="status">Fetching the ways of doing it</p>
    <template v-else>
      <p v-if="problem" class="text-danger" role="alert">{{ t(problem) }}</p>
      <p v-if="closed" class="text-quiet">The job is closed; this is how it was done.</p>
      <OptionList
        :pack="pack"
        :chosen="state.procedure!.options"
        :differences="differences"
        :pending="!closed && !preview"
        @choose="(option, choice) => !closed && !sending && choose(option, choice)"
      />
    </template>
  </section>
</template>
