<script setup lang="ts">
import { bleedStage, blockersOf } from '../../../core/job'
import type { PedalFeel } from '../../../core/job'
import type { Operation } from '../../../core/packs'
import { stopwatch } from '../../lib/durations'
import { momentText } from '../../lib/moments'

/** Pump and rest: strokes counted, rest timed from the log, pedal judged after each round. */
const props = defineProps<{ operation: Operation, blocked: string | null }>()
const { store, state, path } = useJob()
const t = useTerms()
const router = useRouter()
const now = useSeconds()
const spec = computed(() => props.operation.activity?.kind === 'bleed' ? props.operation.activity : null)
const strokesPerRound = ref(spec.value!.strokesPerRound)
const restMinutes = ref(spec.value!.restMinutes)
const bleeding = computed(() => state.value.bleeding[props.operation.id])
const stage = computed(() => bleeding.value && bleedStage(bleeding.value, now.value))
const blockers = computed(() => blockersOf(state.value, props.operation.id))
const stepId = computed(() => props.operation.id)
const counted = computed(() => stage.value && bleeding.value && stage.value.strokes >= bleeding.value.strokesPerRound)
const feels: { id: PedalFeel, label: string, what: string }[] = [
  { id: 'soft', label: 'Soft', what: 'as before' }, { id: 'better', label: 'Better', what: 'not there yet' }, { id: 'firm', label: 'Firm', what: 'bites where it should' },
]

function open() {
  store.write('bleed-opened', { stepId: stepId.value, strokesPerRound: Number(strokesPerRound.value), restMinutes: Number(restMinutes.value) })
}
function main() {
  if (!stage.value) return
  if (stage.value.stage === 'strokes') store.write('stroke-counted', { stepId: stepId.value })
  else if (stage.value.stage === 'firm') finish()
}
function finish() {
  if (state.value.done[stepId.value] || store.write('step-done', { stepId: stepId.value })) void router.push(path('work'))
}
useKeys({ Space: main, Backspace: store.undo })
</script>

<template>
  <SheetWithMargin margin-title="Pump and rest">
    <div class="pb-28">
      <PedalHead />
      <h1 class="text-2xl">{{ t(operation.title) }}</h1>
      <template v-if="!bleeding || !stage">
        <div v-if="blocked || blockers.length" class="mt-4 border-l-4 border-attention pl-4 text-lg" role="note">
          <p v-if="blocked"><span class="label">No stroke now.</span> {{ t(blocked) }}</p>
          <p v-for="blocker in blockers.slice(0, 2)" :key="blocker.title" class="py-1"><span class="label">First: {{ t(blocker.title) }}.</span> {{ t(blocker.because) }}</p>
        </div>
        <div class="mt-5 grid max-w-md gap-4 sm:grid-cols-2">
          <div><label class="label" for="strokes">Strokes a round</label><input id="strokes" v-model.number="strokesPerRound" class="figure mt-1" type="number" min="5" max="100"></div>
          <div><label class="label" for="rest">Rest, minutes</label><input id="rest" v-model.number="restMinutes" class="figure mt-1" type="number" min="1" max="1440"></div>
        </div>
        <button class="button button-main button-big mt-6" :disabled="blockers.length > 0 || !(strokesPerRound >= 5 && strokesPerRound <= 100 && restMinutes >= 1 && restMinutes <= 1440)" @click="open">Open the bleeding</button>
      </template>
      <template v-else>
        <p class="mt-2 text-lg"><span class="label">Round {{ stage.round }}</span></p>
        <div class="mt-4 border-y-2 border-ink py-5 text-center" aria-live="polite">
          <template v-if="stage.stage === 'rest'">
            <p class="figure text-[4.5rem] font-bold leading-none" data-testid="rest">{{ stopwatch(stage.restSecondsLeft) }}</p>
            <p class="mt-2 text-lg">rest until {{ momentText(stage.restEndsAt!) }}; the air climbs by itself</p>
          </template>
          <template v-else-if="stage.stage === 'firm'"><p class="text-3xl font-semibold text-good">Firm</p><p class="mt-2 text-lg">after {{ stage.round }} {{ stage.round === 1 ? 'round' : 'rounds' }}</p></template>
          <template v-else>
            <p class="figure text-[4.5rem] font-bold leading-none" data-testid="strokes">{{ stage.strokes }}</p>
            <p class="mt-2 text-lg">of {{ bleeding.strokesPerRound }} slow full strokes<template v-if="stage.stage === 'judge'">, and the rest is over</template></p>
          </template>
        </div>
        <div v-if="stage.strokes > 0 && stage.stage !== 'firm'" class="mt-5">
          <p class="label">How is the pedal now</p>
          <div class="mt-2 grid gap-2 sm:grid-cols-3">
            <button v-for="feel in feels" :key="feel.id" class="button button-big" @click="store.write('pedal-judged', { stepId, feel: feel.id })">{{ feel.label }}<span class="text-sm font-normal text-quiet">{{ feel.what }}</span></button>
          </div>
        </div>
        <ol class="ruled mt-5">
          <li v-for="(round, index) in bleeding.rounds.filter(each => each.feel)" :key="index" class="flex justify-between py-2">
            <span>Round {{ index + 1 }}: <span class="figure">{{ round.strokes }}</span> strokes<template v-if="round.restSince">, rested</template></span><span class="font-semibold">{{ round.feel }}</span>
          </li>
        </ol>
        <FootBar>
          <button class="button button-big px-1! text-lg!" @click="store.undo">Undo</button>
          <button class="button button-big" :class="counted ? '' : 'button-main'" :disabled="stage.stage === 'rest' || stage.stage === 'judge'" data-testid="stroke" @click="main">{{ stage.stage === 'firm' ? 'Step done' : 'Stroke' }}</button>
          <button class="button button-big px-1! text-lg!" :class="counted ? 'button-main' : ''" :disabled="stage.stage !== 'strokes' || stage.strokes === 0" @click="store.write('rest-started', { stepId })">Rest</button>
        </FootBar>
      </template>
    </div>
    <template #margin>
      <ReservoirGuard v-if="bleeding && stage?.stage !== 'firm'" class="mb-5" :step-id="stepId" :delivered-share="spec!.deliveredShare ?? 0" />
      <ReleaseAsked class="mb-5" />
      <div class="grid gap-3">
        <h2 class="text-lg max-lg:hidden">Pump and rest</h2>
        <p>Slow full strokes, then leave it. Bubbles climb the line to the reservoir while it rests. Common practice: 25 strokes, an hour, again; overnight if it is still soft.</p>
        <p>Fill the rest with other work. The timer runs in the log, so it goes on through a flat phone or a restart.</p>
        <StepCautions :cautions="state.procedure!.cautions.filter(caution => operation.cautions.includes(caution.id))" />
      </div>
    </template>
  </SheetWithMargin>
</template>
