<script setup lang="ts">
import {
  boltsBackWith,
  boltsOffWith,
  cautionsToRead,
  findingsOfStep,
  holdingAfter,
  newPartFor,
  waitBefore,
} from '../../../core/job'
import type { Blocker, StepView, Trouble } from '../../../core/job'
import type { LedgerItem } from '../../../core/packs'
import { stopwatch } from '../../words/durations'

/** One step at arm's length. */
const props = defineProps<{ step: StepView; blockers: Blocker[] }>()
defineEmits<{ reading: [] }>()
const { store, state } = useJob()
const t = useTerms()
const units = useUnits()
const now = useSeconds()
const waiting = computed(() => {
  const wait = props.blockers.length === 0 ? waitBefore(state.value, props.step.id) : null
  const seconds = wait ? (Date.parse(wait.until) - Date.parse(now.value)) / 1000 : 0
  return wait && seconds > 0 ? { left: stopwatch(seconds), because: wait.because } : null
})
const unread = computed(() => cautionsToRead(state.value, props.step.id))
const shownCaution = computed(() => props.step.cautions.find(caution => !unread.value.includes(caution)))
/** A trouble of no step is shown where its bolts are set, or everywhere. */
const belongsHere = ({ stepId, group }: Trouble) =>
  stepId === null
    ? group === undefined || props.step.group?.id === group || !!props.step.operation?.moreFigures?.includes(group)
    : stepId === props.step.id
/** A trouble on its ladder is shown by the ladder, until that did not help. */
const troubles = computed(() =>
  state.value.troubles.filter(
    entry =>
      belongsHere(entry) &&
      !entry.cleared &&
      !state.value.ladderRuns.some(run => run.ladderRunId === entry.troubleId && !run.left),
  ),
)
const ladderRuns = computed(() =>
  state.value.ladderRuns.filter(run => !run.closedAt && (run.stepId === null || run.stepId === props.step.id)),
)
const latest = (readingId: string) =>
  state.value.readings.findLast(entry => entry.stepId === props.step.id && entry.readingId === readingId)
const bad = computed(
  () => props.step.operation !== null && findingsOfStep(state.value, props.step.operation).length > 0,
)
const touchesBolts = computed(
  () =>
    boltsOffWith(state.value, props.step.id).length > 0 ||
    (props.step.operation !== null && boltsBackWith(state.value, props.step.operation).length > 0),
)
const fresh = (item: LedgerItem) => item.state === 'off' && newPartFor(state.value, item) !== null
const moreGroups = computed(() =>
  (props.step.operation?.moreFigures ?? []).flatMap(
    id => state.value.procedure!.groups.find(group => group.id === id) ?? [],
  ),
)
function answer(readingId: string, value: string) {
  store.write('reading-taken', { stepId: props.step.id, readingId, value, unit: null })
}
const heldThen = computed(() => (props.step.operation ? holdingAfter(state.value, props.step.operation) : []))
const helperAway = computed(() => props.step.planned.shortHanded)
</script>

<template>
  <article>
    <p class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <PlaceTag :at="step.at" />
      <span class="figure">{{ step.stepInTrip }} of {{ step.trip.stepIds.length }}</span>
      <span>{{ step.stance.name }}</span>
    </p>
    <h1 class="mt-4 text-[1.75rem] leading-snug sm:text-[2rem]" data-testid="step-title">{{ t(step.title) }}</h1>

    <div v-if="blockers.length" class="mt-4 border-l-4 border-attention pl-4" role="note">
      <p v-for="blocker in blockers.slice(0, 3)" :key="blocker.title" class="py-1">
        <span class="label">First: {{ t(blocker.title) }}.</span> {{ t(blocker.because) }}
      </p>
    </div>
    <p v-if="waiting" class="mt-4 border-l-4 border-attention pl-4 text-lg" role="note">
      <span class="figure font-bold">{{ waiting.left }}</span> <span class="label">still to wait.</span>
      {{ t(waiting.because) }} Another step can fill it.
    </p>
    <LazyLadderPanel v-for="run in ladderRuns" :key="run.ladderRunId" :run="run" />
    <div v-for="trouble in troubles" :key="trouble.troubleId" class="mt-4"><LazyTroubleLine :trouble="trouble" /></div>

    <ul v-if="step.tools.length" class="mt-4 flex flex-wrap gap-2" aria-label="Tools">
      <li v-for="tool in step.tools" :key="tool.id" class="tag">
        <span v-if="tool.size" class="figure font-bold">{{ tool.size }}</span>{{ t(tool.name) }}
      </li>
    </ul>

    <dl class="mt-4 grid gap-2 text-lg">
      <div v-for="change in step.takesOff" :key="change.item.id">
        <dt class="inline font-semibold">
          {{
            {
              off: 'Comes off',
              open: 'Opens',
              unplugged: 'Comes apart',
              slack: 'Slack from now',
              propped: 'Holds from now',
            }[change.item.state]
          }}:
        </dt>
        <dd class="inline">
          <span class="figure">{{ change.count }}</span> × {{ t(change.item.name)
          }}<span v-if="change.item.goesTo" class="text-quiet"> → {{ t(change.item.goesTo) }}</span>
        </dd>
      </div>
      <div v-for="change in step.putsBack" :key="change.item.id">
        <dt class="inline font-semibold">
          {{
            fresh(change.item)
              ? 'Goes in new'
              : {
                  off: 'Goes back',
                  open: 'Closes',
                  unplugged: 'Plugs in',
                  slack: 'Set for good',
                  propped: 'Away with',
                }[change.item.state]
          }}:
        </dt>
        <dd class="inline">
          <span class="figure">{{ change.count }}</span> × {{ t(change.item.name)
          }}<span v-if="fresh(change.item)" class="text-quiet">; the old stay with the old parts</span
          ><span v-else-if="change.item.goesTo && change.item.state === 'off'" class="text-quiet">
            ← {{ t(change.item.goesTo) }}</span
          >
        </dd>
      </div>
    </dl>

    <LazyHeldThen v-if="heldThen.length" class="mt-4 text-lg" :holding="heldThen" />

    <CautionAsk v-if="unread.length && blockers.length === 0" :cautions="unread" />
    <NewPartsAsk :step-id="step.id" />
    <LazyBoardAsk v-if="touchesBolts" :step="step" />
    <BenchAsk :step="step" />

    <FigureLine v-if="step.group" class="mt-4" :group="step.group" large />
    <FigureLine v-for="group in moreGroups" :key="group.id" class="mt-4" :group="group" />

    <ul v-if="step.operation?.readings.length" class="ruled mt-4 border-y border-rule">
      <li v-for="spec in step.operation.readings" :key="spec.id" class="py-2">
        <template v-if="spec.kind === 'choice'">
          <LazyChoiceRow
            :label="t(spec.name)"
            :model-value="latest(spec.id) ? String(latest(spec.id)!.value) : null"
            :choices="spec.choices.map(choice => ({ id: choice, label: t(choice) }))"
            :wanted="spec.required && !latest(spec.id)"
            @update:model-value="(choice: string | null) => answer(spec.id, choice!)"
          />
          <p v-if="spec.about" class="mt-1 text-sm text-quiet">{{ t(spec.about) }}</p>
        </template>
        <div v-else class="flex items-center justify-between gap-3">
          <span
            ><span class="label">{{ t(spec.name) }}</span
            ><span v-if="spec.about" class="block text-sm text-quiet">{{ t(spec.about) }}</span></span
          >
          <button
            class="button shrink-0"
            :class="!latest(spec.id) && spec.required ? 'border-attention!' : ''"
            @click="$emit('reading')"
          >
            <span v-if="latest(spec.id)" class="figure">{{
              units.reading(Number(latest(spec.id)!.value), spec.unit)
            }}</span>
            <template v-else>{{ spec.required ? 'Wanted' : 'Measure' }}</template>
          </button>
        </div>
      </li>
    </ul>

    <LazyFindingAsk v-if="bad" :step="step" />

    <p v-if="helperAway" class="mt-4 border-l-4 border-attention pl-4 text-lg">
      <span class="label">Two hands more would help.</span> Alone: {{ t(step.operation!.aloneWay!) }}
    </p>
    <p
      v-if="shownCaution"
      class="mt-4 flex items-start gap-3 border-l-4 pl-4 text-lg"
      :class="shownCaution.serious ? 'border-danger' : 'border-attention'"
    >
      <CautionSign :sign="shownCaution.sign" class="mt-0.5 w-8 shrink-0" />
      <span
        ><span class="label">{{ t(shownCaution.title) }}.</span> {{ t(shownCaution.text) }}</span
      >
    </p>
    <p v-if="step.operation?.skill" class="mt-3 text-lg text-quiet">{{ t(step.operation.skill) }}</p>
  </article>
</template>
