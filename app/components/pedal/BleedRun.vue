<script setup lang="ts">
import { bleedStage, blockersOf, plannedWay, wayNow } from '../../../core/job'
import { begun } from '../../../core/job/chapters/bleeding/ways'
import { bleedNext } from '../../../core/job/views/bleed-next'
import type { BleedWay, Operation } from '../../../core/packs'
import { stopwatch } from '../../words/durations'
import { momentText } from '../../words/moments'

/** Bleeding by one school or another: counted, rests timed by the log, pedal judged after each round. */
const numbers = useNumbers()
const props = defineProps<{ operation: Operation; blocked: string | null }>()
const { store, state, path } = useJob()
const t = useTerms()
const router = useRouter()
const now = useSeconds()
const stepId = computed(() => props.operation.id)
const planned = computed(() =>
  plannedWay(state.value, props.operation.activity as typeof props.operation.activity & { kind: 'bleed' }),
)
const ways = computed(() => state.value.procedure!.bleeding ?? [])
const bleeding = computed(() => state.value.bleeding[stepId.value])
const way = computed(() => wayNow(state.value, stepId.value))
const stage = computed(() => (bleeding.value && way.value ? bleedStage(bleeding.value, now.value, way.value) : null))
const blockers = computed(() => blockersOf(state.value, stepId.value))
const round = computed(() => bleeding.value?.rounds.at(-1) ?? null)
const full = computed(() => !!(stage.value && way.value && stage.value.counted >= way.value.perRound))
const chosen = ref(planned.value.id)
const shown = computed(() => way.value ?? ways.value.find(entry => entry.id === chosen.value) ?? planned.value)
const switching = ref(false)
const portion = ref(0)
watch(
  () => way.value?.id,
  () => {
    portion.value = Math.abs(way.value?.portionMl || 10)
  },
  { immediate: true },
)
const caught = ref('')
const pacer = useTemplateRef('pacer')
const dripping = computed(() => way.value?.counts === 'minutes')
const mainWord = computed(() => {
  if (stage.value?.stage === 'firm') return 'Step done'
  if (dripping.value) return 'Bleeder open'
  return way.value?.counts === 'portions'
    ? `${portion.value} ml ${way.value.portionMl < 0 ? 'pushed' : 'out'}`
    : 'Stroke'
})
const advice = computed(() => (stage.value?.stage === 'firm' ? null : bleedNext(state.value, stepId.value)))
/** The sheet that tells air from a seal by pumping. */
const pumped = computed(
  () =>
    state.value.procedure!.bench.sheets.find(sheet => sheet.judges.some(judge => judge.kind === 'pumped-pedal')) ??
    null,
)
const atRest = computed(() => stage.value?.stage === 'rest' || stage.value?.stage === 'judge')

function open(by: BleedWay, perRound: number, restMinutes: number) {
  store.write('bleed-opened', {
    stepId: stepId.value,
    strokesPerRound: perRound,
    restMinutes,
    ...(by.id ? { way: by.id } : {}),
  })
}
function goOn(by: BleedWay, perRound: number, restMinutes: number) {
  if (store.write('bleed-switched', { stepId: stepId.value, way: by.id, strokesPerRound: perRound, restMinutes }))
    switching.value = false
}
useRunUnderWay(() => stage.value?.stage === 'strokes')
function main() {
  if (!stage.value || !way.value) return
  if (stage.value.stage === 'firm') return finish()
  if (atRest.value) return
  if (dripping.value) store.write('rest-started', { stepId: stepId.value })
  else if (way.value.counts === 'portions')
    store.write('portion-moved', {
      stepId: stepId.value,
      ml: Math.sign(way.value.portionMl) * Math.max(1, Math.round(portion.value)),
    })
  else store.write('stroke-counted', { stepId: stepId.value })
}
/** Strokes of the round still to count at once; none where the reservoir is watched stroke by stroke. */
const strokesLeft = computed(() =>
  way.value?.counts === 'strokes' && stage.value?.stage === 'strokes' && !state.value.reservoirs[stepId.value]
    ? way.value.perRound - stage.value.counted
    : 0,
)
const roundPumped = () => store.write('stroke-counted', { stepId: stepId.value, count: strokesLeft.value })
/** A rest without strokes before it: the round is the rest. */
function restNow() {
  store.write('rest-started', { stepId: stepId.value })
}
function bottle() {
  const ml = numbers.plain(caught.value)
  if (!(ml > 0)) return
  if (store.write('portion-moved', { stepId: stepId.value, ml })) caught.value = ''
}
function undo() {
  pacer.value?.stop()
  store.undo()
}
function finish() {
  if (state.value.done[stepId.value] || store.write('step-done', { stepId: stepId.value }))
    void router.push(path('work'))
}
useKeys({ Space: main, Backspace: undo })
</script>

<template>
  <SheetWithMargin :margin-title="shown.title">
    <div class="pb-28">
      <PedalHead />
      <h1 class="text-2xl">{{ way ? shown.title : t(operation.title) }}</h1>
      <template v-if="!bleeding || !stage || !way || !round">
        <div v-if="blocked || blockers.length" class="mt-4 border-l-4 border-attention pl-4 text-lg" role="note">
          <p v-if="blocked"><span class="label">No stroke now.</span> {{ t(blocked) }}</p>
          <p v-for="blocker in blockers.slice(0, 2)" :key="blocker.title" class="py-1">
            <span class="label">First: {{ t(blocker.title) }}.</span> {{ t(blocker.because) }}
          </p>
        </div>
        <BleedOpen
          v-model:way="chosen"
          :planned="planned"
          :ways="ways"
          :closed="blockers.length > 0"
          go="Open the bleeding"
          @open="open"
        />
      </template>
      <template v-else>
        <p class="mt-2 flex flex-wrap items-center gap-x-4 text-lg">
          <span class="label">Round {{ stage.round }}</span>
          <button
            v-if="ways.length > 1 && stage.stage !== 'firm'"
            class="inline-flex min-h-11 items-center underline"
            :aria-expanded="switching"
            @click="switching = !switching"
          >
            Go on another way
          </button>
          <NuxtLink
            v-if="way.calls.length"
            class="inline-flex min-h-11 items-center underline"
            :to="path('pedal/helper')"
            >Page for the helper’s phone</NuxtLink
          >
        </p>
        <div v-if="switching" class="mt-2 border-l-4 border-action pl-4">
          <p>What was counted stays.</p>
          <BleedOpen
            v-model:way="chosen"
            :planned="way"
            :ways="ways"
            :closed="chosen === way.id"
            go="Go on this way"
            @open="goOn"
          />
        </div>
        <p
          v-if="advice && !atRest && !begun(round)"
          class="mt-4 border-l-4 border-attention pl-4 text-lg"
          data-testid="next-advice"
        >
          {{ advice.say }}
          <button v-if="advice.act === 'rest'" class="button mt-2 flex!" @click="restNow">Rest now</button>
          <button
            v-else-if="advice.act === 'switch' && ways.length > 1"
            class="button mt-2 flex!"
            @click="switching = true"
          >
            Choose another way
          </button>
          <NuxtLink
            v-else-if="advice.act === 'test' && pumped"
            class="button mt-2 flex!"
            :to="path(`pedal/${pumped.id}`)"
            >{{ t(pumped.title) }}</NuxtLink
          >
        </p>
        <div class="mt-4 border-y-2 border-ink py-5 text-center" aria-live="polite">
          <template v-if="stage.stage === 'firm'"
            ><p class="text-3xl font-semibold text-good">Firm</p>
            <p class="mt-2 text-lg">after {{ stage.round }} {{ stage.round === 1 ? 'round' : 'rounds' }}</p></template
          >
          <template v-else-if="stage.stage === 'rest'">
            <p class="figure text-[4.5rem] font-bold leading-none" data-testid="rest">
              {{ stopwatch(stage.restSecondsLeft) }}
            </p>
            <p class="mt-2 text-lg">
              <template v-if="dripping"
                >bleeder open until {{ momentText(stage.restEndsAt!) }}; look at the reservoir meanwhile</template
              ><template v-else>rest until {{ momentText(stage.restEndsAt!) }}; the air climbs by itself</template>
            </p>
            <RestNotice />
          </template>
          <template v-else>
            <p class="figure text-[4.5rem] font-bold leading-none" data-testid="strokes">
              {{ dripping ? Math.round(Math.abs(round.movedMl)) : stage.counted }}
            </p>
            <p class="mt-2 text-lg">
              <template v-if="dripping">ml in the bottle this round</template
              ><template v-else>of {{ way.perRound }} {{ way.perRound === 1 ? way.one : way.many }}</template
              ><template v-if="stage.stage === 'judge'">, and the {{ dripping ? 'time' : 'rest' }} is over</template>
            </p>
            <PaceCaller
              v-if="way.calls.length && stage.stage === 'strokes'"
              ref="pacer"
              :step-id="stepId"
              class="mt-4"
            />
          </template>
          <button v-if="strokesLeft > 1" class="button mt-4" @click="roundPumped">
            {{ stage.counted ? `The other ${strokesLeft}` : `All ${strokesLeft}` }} pumped
          </button>
          <form
            v-if="dripping && atRest"
            class="mx-auto mt-4 flex max-w-sm items-end justify-center gap-2 text-left"
            novalidate
            @submit.prevent="bottle"
          >
            <div class="grow">
              <Field v-slot="{ control }" id="caught" label="Bleeder shut: in the bottle, ml"
                ><input v-bind="control" v-model="caught" class="figure mt-1" inputmode="decimal" autocomplete="off"
              /></Field>
            </div>
            <button class="button">Write it down</button>
          </form>
          <div
            v-if="way.counts === 'portions' && stage.stage === 'strokes'"
            class="mx-auto mt-4 flex max-w-xs items-center justify-center gap-3"
          >
            <Field v-slot="{ control }" id="portion" label="One is, ml"
              ><input v-bind="control" v-model.number="portion" type="number" min="1" max="500" class="figure w-28"
            /></Field>
          </div>
        </div>
        <PedalJudge v-if="begun(round) && stage.stage !== 'firm'" :step-id="stepId" :bleeder="way.bleeder" />
        <BleedRounds :rounds="bleeding.rounds" :ways="ways" />
        <FootBar>
          <button class="button button-big px-1! text-lg!" @click="undo">Undo</button>
          <button
            class="button button-big"
            :class="full ? '' : 'button-main'"
            :disabled="atRest"
            data-testid="stroke"
            @click="main"
          >
            {{ mainWord }}
          </button>
          <button
            class="button button-big px-1! text-lg!"
            :class="full ? 'button-main' : ''"
            :disabled="dripping || stage.stage !== 'strokes' || !begun(round)"
            @click="store.write('rest-started', { stepId })"
          >
            Rest
          </button>
        </FootBar>
      </template>
    </div>
    <template #margin>
      <template v-if="bleeding && way && stage?.stage !== 'firm'">
        <AirLeft class="mb-5" :step-id="stepId" />
        <ReservoirGuard class="mb-5" :step-id="stepId" :way="way" />
      </template>
      <WayText :way="shown" class="mb-5" />
      <ReleaseAsked class="mb-5" />
      <p class="mb-3">
        Fill a rest with other work. The timer runs in the log, so it goes on through a flat phone or a restart.
      </p>
      <StepCautions :cautions="state.procedure!.cautions.filter(caution => operation.cautions.includes(caution.id))" />
    </template>
  </SheetWithMargin>
</template>
