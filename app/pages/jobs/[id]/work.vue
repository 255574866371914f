<script setup lang="ts">
import {
  activityComplete,
  blockersFor,
  cautionsToRead,
  gearsOf,
  quietSteps,
  stepsLeft,
  stepView,
} from '../../../../core/job'
import { sheetPath } from '../../../links/sheet-path'

const { store, state, next, path } = useJob()
const t = useTerms()
const router = useRouter()
const focusId = ref<string | null>(typeof useRoute().query.step === 'string' ? String(useRoute().query.step) : null)
const dialog = ref<'note' | 'trouble' | 'keys' | 'reading' | 'other' | 'way' | 'none' | 'hand' | null>(null)
/** Dialogs that were opened once: until then nothing of them is fetched. */
const opened = reactive(new Set<string>())
watch(dialog, name => name && opened.add(name))
useFetchedAhead(() => [
  import('../../../components/common/ChoiceRow.vue'),
  import('../../../components/work/BoardAsk.vue'),
  import('../../../components/work/ReadingDialog.vue'),
  import('../../../components/work/NoteDialog.vue'),
  import('../../../components/work/TroubleDialog.vue'),
  import('../../../components/work/OtherStepDialog.vue'),
  import('../../../components/work/InTheWayDialog.vue'),
  import('../../../components/work/LeaveOutDialog.vue'),
  import('../../../components/work/KeysDialog.vue'),
  import('../../../components/work/HandDialog.vue'),
  import('../../../components/work/TroubleLine.vue'),
  import('../../../components/work/LadderPanel.vue'),
  import('../../../components/work/FindingAsk.vue'),
  import('../../../components/work/ReadCodes.vue'),
  import('../../../components/work/TeachRoutine.vue'),
  import('../../../components/job/FigureDialog.vue'),
  import('../../../components/job/SettingsList.vue'),
  import('../../../components/bench/OrientationLine.vue'),
  ...['plan', 'car', 'bolts', 'bench', state.value.procedure?.control ? 'control' : 'pedal', 'prove'].map(name =>
    preloadRouteComponents(path(name)),
  ),
])
const whyOpen = ref(false)

const garage = useGarageStore()
/** Who only helps does what was handed to them. */
const isMine = (stepId: string) => garage.can('work') || state.value.handed[stepId] === garage.personId
const nextOwn = computed(() => {
  const id = garage.can('work') ? undefined : stepsLeft(state.value).find(isMine)
  return id === undefined ? next.value : stepView(state.value, id)
})
const step = computed(
  () => (focusId.value && !state.value.done[focusId.value] && stepView(state.value, focusId.value)) || nextOwn.value,
)
const following = computed(() => {
  const left = stepsLeft(state.value).filter(id => id !== step.value?.id && isMine(id))
  return left[0] ? stepView(state.value, left[0]) : null
})
const blockers = computed(() => (step.value ? blockersFor(state.value, step.value.id, garage.personId) : []))
const activity = computed(() => step.value?.operation?.activity ?? null)
const activityDone = computed(() => !step.value?.operation || activityComplete(state.value, step.value.operation))
const missingReading = computed(() =>
  step.value?.operation?.readings.find(
    spec =>
      spec.required &&
      !state.value.readings.some(reading => reading.stepId === step.value!.id && reading.readingId === spec.id),
  ),
)

const allTried = computed(() => {
  if (step.value === null || activity.value?.kind !== 'gears') return false
  const tried = state.value.gears[step.value.id]
  return gearsOf(state.value, activity.value).every(gear => tried?.[gear])
})
/** Work that is done here and not in a view of its own. */
const here = computed(() => {
  const kind = activity.value?.kind
  return kind === 'gears' || kind === 'read' || kind === 'teach' ? kind : null
})
const unread = computed(() =>
  step.value && blockers.value.length === 0 ? cautionsToRead(state.value, step.value.id) : [],
)
const mainLabel = computed(() => {
  if (unread.value.length > 0) return 'Read and understood'
  if (missingReading.value && activityDone.value)
    return missingReading.value.kind === 'choice' ? 'Answer first' : 'Take the reading'
  if (activityDone.value) return 'Done'
  return {
    tighten: 'To the tightening run',
    bleed: 'To the bleeding',
    gears: allTried.value
      ? 'Write the trouble down'
      : activity.value!.kind === 'gears' && activity.value!.positions
        ? 'Try every position first'
        : 'Try every gear first',
    judged: 'To the sheet',
    body: 'To the piece board',
    read: 'Write down what it holds first',
    teach: state.value.routines[step.value!.id] ? 'Write the trouble down' : 'Run the routine first',
  }[activity.value!.kind]
})

/** Tried, and not as it should be: what is left is to say so. */
const isStuck = computed(
  () => allTried.value || (activity.value?.kind === 'teach' && state.value.routines[step.value!.id] !== undefined),
)
/** The view in which it is done. */
function elsewhere(): string {
  if (activity.value!.kind === 'tighten') return `bolts/run/${step.value!.id}`
  if (activity.value!.kind === 'body') return `bolts/pieces/${activity.value!.body}`
  if (activity.value!.kind !== 'judged') return 'pedal'
  const asked = activity.value!.sheet
  const sheet = state.value.procedure!.bench.sheets.find(entry => entry.id === asked)
  return sheet ? sheetPath(sheet) : 'bench'
}

function done() {
  if (!step.value || dialog.value || store.ahead.done[step.value.id] || !isMine(step.value.id)) return
  if (unread.value.length > 0) {
    store.write('caution-acknowledged', { cautionIds: unread.value.map(caution => caution.id) })
    return
  }
  if (!activityDone.value) {
    if (here.value) {
      if (isStuck.value) dialog.value = 'trouble'
      return
    }
    void router.push(path(elsewhere()))
    return
  }
  if (missingReading.value) {
    if (missingReading.value.kind === 'number') dialog.value = 'reading'
    else useMessages().say(`${t(missingReading.value.name)}: say which.`)
    return
  }
  if (store.write('step-done', { stepId: step.value.id })) {
    focusId.value = null
    window.scrollTo({ top: 0 })
  }
}
/** Steps that ask for nothing after this one, where this one is ready itself. */
const quiet = computed(() =>
  step.value && mainLabel.value === 'Done' && blockers.value.length === 0 && garage.can('work')
    ? quietSteps(state.value, step.value.id)
    : [],
)
function doneWithQuiet() {
  if (!step.value || dialog.value || quiet.value.length === 0) return
  for (const stepId of [step.value.id, ...quiet.value]) if (!store.write('step-done', { stepId })) break
  focusId.value = null
  window.scrollTo({ top: 0 })
}
function toggleTimer() {
  if (!step.value) return
  store.write(store.ahead.timers[step.value.id]?.runningSince ? 'timer-stopped' : 'timer-started', {
    stepId: step.value.id,
  })
}
function undo() {
  focusId.value = null
  store.undo()
}
function measure() {
  if (step.value?.operation?.readings.some(spec => spec.kind === 'number')) dialog.value = 'reading'
  else useMessages().say('This step asks for no number.')
}
useKeys({
  Space: done,
  Backspace: undo,
  d: doneWithQuiet,
  m: measure,
  t: toggleTimer,
  n: () => {
    dialog.value = 'note'
  },
  x: () => {
    if (garage.can('work')) dialog.value = 'trouble'
  },
  w: () => {
    whyOpen.value = !whyOpen.value
  },
  i: () => {
    if (step.value?.operation && garage.can('work')) dialog.value = 'way'
  },
  '?': () => {
    dialog.value = 'keys'
  },
})
useScreenAwake()
</script>

<template>
  <SheetWithMargin v-model:open="whyOpen" :margin-title="step ? 'Why here' : 'Off the car'">
    <div v-if="step" class="pb-28">
      <StepCard :step="step" :blockers="blockers" @reading="dialog = 'reading'" />
      <template v-if="blockers.length === 0">
        <GearGrid v-if="activity?.kind === 'gears'" :step-id="step.id" :activity="activity" class="mt-5" />
        <LazyReadCodes v-else-if="activity?.kind === 'read'" :key="step.id" :step-id="step.id" class="mt-5" />
        <LazyTeachRoutine
          v-else-if="activity?.kind === 'teach'"
          :key="step.id"
          :step-id="step.id"
          :routine="activity.routine"
          :runs="activity.runs"
          class="mt-5"
        />
      </template>
      <p v-if="!isMine(step.id)" class="mt-4 border-l-4 border-attention pl-4 text-lg" role="status">
        Nothing is handed to you yet. This is what comes next on the car.
      </p>
      <StepExtras
        :step="step"
        @note="dialog = 'note'"
        @timer="toggleTimer"
        @other="dialog = 'other'"
        @way="dialog = 'way'"
        @none="dialog = 'none'"
        @keys="dialog = 'keys'"
        @hand="dialog = 'hand'"
      />
      <section v-if="quiet.length" class="mt-5 border-t border-rule pt-3" aria-label="Nothing to write down">
        <p class="text-quiet">After it, with nothing to write down:</p>
        <ol class="mt-1">
          <li v-for="id in quiet" :key="id" class="py-0.5">{{ t(stepView(state, id)!.title) }}</li>
        </ol>
        <button class="button mt-2" data-testid="done-with-quiet" @click="doneWithQuiet">
          Done, and {{ quiet.length === 1 ? 'this one' : `these ${quiet.length}` }} too
        </button>
      </section>
      <p v-else-if="following" class="mt-5 border-t border-rule pt-3 text-quiet">
        Next: <PlaceTag :at="following.at" short /> <span class="text-ink">{{ t(following.title) }}</span>
        <template v-if="following.tools.length">
          · fetch
          {{
            following.tools
              .slice(0, 3)
              .map(tool => [tool.size, t(tool.name).toLowerCase()].filter(Boolean).join(' '))
              .join(', ')
          }}</template
        >
      </p>
      <WorkBar
        :label="mainLabel"
        :can="
          isMine(step.id) &&
          (unread.length > 0 || (blockers.length === 0 && (activityDone || here === null || isStuck)))
        "
        @done="done"
        @undo="undo"
        @trouble="dialog = 'trouble'"
      />
    </div>
    <div v-else class="py-6">
      <h1 class="text-3xl">Every step of the plan is done</h1>
      <p class="mt-3 text-lg">What is left is the hand-over.</p>
      <div class="mt-6 flex gap-3">
        <NuxtLink :to="path('prove')" class="button button-main button-big">To the hand-over</NuxtLink>
        <button class="button button-big" @click="undo">Undo</button>
      </div>
    </div>

    <template #margin>
      <template v-if="step">
        <StepCautions :cautions="step.cautions" />
        <h2 class="mb-2 text-lg max-lg:hidden" :class="step.cautions.length ? 'mt-5' : ''">Why here</h2>
        <WhyPanel :step-id="step.id" />
      </template>
      <h2 class="mt-6 border-b border-ink pb-1 text-lg">Off the car, newest first</h2>
      <OffList :limit="8" />
    </template>

    <LazyReadingDialog
      v-if="step && opened.has('reading')"
      :open="dialog === 'reading'"
      :step="step"
      @close="dialog = null"
    />
    <LazyNoteDialog
      v-if="opened.has('note')"
      :open="dialog === 'note'"
      :step-id="step?.id ?? null"
      @close="dialog = null"
    />
    <LazyTroubleDialog
      v-if="opened.has('trouble')"
      :open="dialog === 'trouble'"
      :step-id="step?.id ?? null"
      @close="dialog = null"
    />
    <LazyOtherStepDialog
      v-if="opened.has('other')"
      :open="dialog === 'other'"
      @close="dialog = null"
      @choose="
        id => {
          focusId = id
          dialog = null
        }
      "
    />
    <LazyInTheWayDialog
      v-if="step?.operation && opened.has('way')"
      :open="dialog === 'way'"
      :step="step"
      @close="dialog = null"
      @added="
        () => {
          focusId = null
          dialog = null
        }
      "
    />
    <LazyLeaveOutDialog
      v-if="step?.operation && opened.has('none')"
      :open="dialog === 'none'"
      :step="step"
      @close="dialog = null"
      @left="
        () => {
          focusId = null
          dialog = null
        }
      "
    />
    <LazyHandDialog
      v-if="step && opened.has('hand')"
      :open="dialog === 'hand'"
      :step-id="step.id"
      @close="dialog = null"
    />
    <LazyKeysDialog v-if="opened.has('keys')" :open="dialog === 'keys'" @close="dialog = null" />
  </SheetWithMargin>
</template>
