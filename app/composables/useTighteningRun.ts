import { feelVerdict, nextBolt, runLength, treatmentOf, wrenchSetting } from '../../core/fasteners'
import type { BoltReading, Feel, ThreadCondition } from '../../core/fasteners'
import { openStop, passLimitNm, siblingCurves, unlikeSiblings } from '../../core/job'
import type { JobState, TighteningRun } from '../../core/job'
import type { FastenerGroup, Operation } from '../../core/packs'
import { passNames } from '../words/passes'
import { spokenUnit } from '../words/spoken-unit'
import { boltVerdicts } from '../words/verdicts'

/** What a run is over: a step of the plan or none, and the bolts of a group, let go or tightened. */
export interface RunOver {
  operation: Operation | null
  group: FastenerGroup
  loosens?: boolean
}

const isLocked = (condition?: ThreadCondition) =>
  condition !== undefined && treatmentOf(condition).thread === 'threadlocker'

type Run = ReturnType<typeof makeRun>
const key = Symbol('tightening run') as InjectionKey<Run>

/** The run that the view around is about. */
export const useTighteningRun = (): Run => inject(key)!

/** Makes the run of a view known to what stands in it. */
export function provideTighteningRun(over: RunOver): Run {
  const run = makeRun(over)
  provide(key, run)
  return run
}

/** A run under way: which bolt is next and how it is turned, by hand, by feel or by a wrench that speaks. */
function makeRun(over: RunOver) {
  const { store, state, path } = useJob()
  const units = useUnits()
  const router = useRouter()
  const speech = useSpeech()
  const trouble = ref(false)
  const refused = ref('')
  /** Free runs that are done stay in the log; a new one can begin. */
  const closed = ref<string[]>([])
  const stepId = computed(() => over.operation?.id ?? null)
  const isThis = (entry: TighteningRun) =>
    entry.stepId === stepId.value && entry.group === over.group.id && !!entry.loosens === !!over.loosens
  const runOf = ({ runs }: JobState) =>
    runs.findLast(entry => isThis(entry) && entry.dropped === null && !closed.value.includes(entry.runId)) ?? null
  const nextOf = (of: TighteningRun | null) => of && nextBolt(of, of.turned)
  const run = computed(() => runOf(state.value))
  const next = computed(() => nextOf(run.value))
  const stop = computed(() => run.value && openStop(run.value))
  /** The run with turns that are on their way to the disk: a wrench, or a quick thumb, is at the next bolt already. */
  const runAhead = computed(() => runOf(store.ahead))
  const nextAhead = computed(() => (runAhead.value && !openStop(runAhead.value) ? nextOf(runAhead.value) : null))
  const total = computed(() => (run.value ? runLength(run.value) : 0))
  const wait = computed(() => (next.value?.turnedInPass === 0 ? (next.value.pass.waitMinutes ?? 0) : 0))

  /** Where the turn that is due stands in the run; `null` when none is, or something has stopped it. */
  const due = () =>
    runAhead.value && nextAhead.value
      ? { runId: runAhead.value.runId, passIndex: nextAhead.value.passIndex, bolt: nextAhead.value.bolt }
      : null
  function turn(more: { feel?: Feel; reading?: BoltReading } = {}) {
    const at = due()
    if (at) store.write('bolt-turned', { ...at, ...more })
  }
  /** The rest of a pass at once: a plain wrench clicks, and nobody taps with oily hands for every bolt. */
  function turnPass() {
    const at = due()
    if (at) store.write('pass-turned', { runId: at.runId, passIndex: at.passIndex })
  }
  function feel(felt: Feel) {
    const at = due()
    if (!at) return
    const { verdict, because } = feelVerdict(felt)
    if (verdict === 'good') turn({ feel: felt })
    else if (store.write('bolt-stopped', { ...at, verdict, because, by: 'feel' }))
      speech.say(`Stop. ${boltVerdicts[verdict].name}.`)
  }
  const link = useWrench({
    run: () => runAhead.value,
    next: () => nextAhead.value,
    state: () => ({
      drawn: over.group.runs === 'drawn',
      locking: over.group.runs === 'locking' || isLocked(state.value.fasteners[over.group.id]?.condition),
    }),
    done: reading => turn({ reading }),
    stopped: ({ verdict, because }, reading) => {
      const at = due()
      if (!at || verdict === null || verdict === 'good') return
      store.write('bolt-stopped', { ...at, verdict, because, by: 'wrench', reading })
      speech.say(`Stop. Bolt ${at.bolt + 1}. ${boltVerdicts[verdict].name}.`)
    },
  })

  const settingNm = computed(() => {
    const pass = next.value?.pass
    if (!run.value || !pass) return null
    const targetNm = link.name.value ? passLimitNm(run.value, next.value!.passIndex) : pass.torqueNm
    const { wrench } = run.value
    if (targetNm === null || !wrench?.adapterLengthMm) return targetNm
    const { lengthMm, adapterLengthMm, adapterAngleDeg } = wrench
    return wrenchSetting({ targetNm, wrenchLengthMm: lengthMm, adapterLengthMm, adapterAngleDeg }).settingNm
  })
  const spoken = computed(() => {
    if (!next.value || stop.value) return ''
    const main = settingNm.value === null ? null : units.torque(settingNm.value).main
    const setting = main ? `${main.text} ${spokenUnit(main.unit)}` : passNames[next.value.pass.kind].name
    return `Bolt ${next.value.bolt + 1}, ${setting}`
  })
  watch(spoken, words => words && speech.say(words))

  /** Curves of the other bolts of this pass. */
  const siblings = computed(() =>
    run.value && next.value ? siblingCurves(run.value, next.value.passIndex, next.value.bolt) : [],
  )
  /** Bolts of the pass before that turn out to be unlike the others. */
  const unlike = computed(() =>
    run.value && next.value && next.value.passIndex > 0 && next.value.turnedInPass === 0
      ? unlikeSiblings(run.value, next.value.passIndex - 1)
      : [],
  )

  function finish() {
    if (!over.operation) {
      closed.value = [...closed.value, run.value!.runId]
      void router.push(path(`bolts/${over.group.id}`))
      return
    }
    const { id } = over.operation
    refused.value = store.ahead.done[id] ? '' : (store.attempt('step-done', { stepId: id }) ?? '')
    if (!refused.value) void router.push(path('work'))
  }
  watch(
    () => [run.value?.turned, state.value.readings.length, Object.keys(state.value.replaced).length],
    () => {
      refused.value = ''
    },
  )
  /** The next bolt by hand; with none left, the run is over. */
  function act() {
    if (trouble.value || stop.value) return
    if (nextAhead.value) turn({ feel: 'normal' })
    else if (run.value) finish()
  }
  function dropRun() {
    if (run.value) store.write('run-dropped', { runId: run.value.runId, reason: 'Stopped to begin again' })
  }

  return {
    ...over,
    stepId,
    run,
    next,
    stop,
    total,
    wait,
    link,
    speech,
    settingNm,
    siblings,
    unlike,
    trouble,
    refused,
    act,
    feel,
    turnPass,
    dropRun,
  }
}
