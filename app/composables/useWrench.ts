import { useLocalStorage } from '@vueuse/core'
import { keepReading, readAnglePass, takenUp, tighteningReader } from '../../core/fasteners'
import type { BoltReading, JointState, NextBolt, TighteningReading, TighteningSample } from '../../core/fasteners'
import { earlierCurve, passLimitNm, siblingCurves } from '../../core/job'
import type { TighteningRun } from '../../core/job'
import { WebSocketWrench } from '../links/wrench-link'
import type { TorqueWrenchLink } from '../links/wrench-link'

const USUAL_ADDRESS = 'ws://127.0.0.1:3377/wrench'

interface Listener {
  run: () => TighteningRun | null
  next: () => NextBolt | null
  /** What makes the joint run heavier than clean threads do. */
  state: () => JointState
  /** The bolt of this pass is done; what was read of it. */
  done: (reading: BoltReading) => void
  /** The bolt must not be turned on. */
  stopped: (reading: TighteningReading, kept: BoltReading) => void
}

/** A wrench that speaks, at one bolt of a run at a time. */
export function useWrench(listener: Listener) {
  const address = useLocalStorage('eldrin-wrench', USUAL_ADDRESS)
  const name = ref('')
  const problem = ref('')
  const connecting = ref(false)
  const samples = shallowRef<TighteningSample[]>([])
  const reading = shallowRef<TighteningReading | null>(null)
  let link: TorqueWrenchLink | null = null
  let reader: ReturnType<typeof tighteningReader> | null = null
  let before: TighteningSample[] = []
  let over = true
  let atBolt = ''

  function startBolt(fresh: boolean) {
    const run = listener.run()
    const next = listener.next()
    over = true
    if (!link || !name.value || !run?.figure || !next) return
    const limitNm = passLimitNm(run, next.passIndex)
    const { torqueNm } = run.figure
    readFrom(run, next, fresh ? [] : earlierCurve(run, next.passIndex, next.bolt))
    atBolt = `${run.runId} ${next.passIndex} ${next.bolt}`
    link.set(limitNm ?? torqueNm * 3, torqueNm)
    link.next(next.bolt, fresh || before.length === 0)
  }

  /** Begins to read a bolt that was turned so far before. */
  function readFrom(run: TighteningRun, next: NextBolt, curve: TighteningSample[]) {
    const { torqueNm } = run.figure!
    before = curve
    samples.value = curve
    reading.value = null
    reader = tighteningReader({
      targetNm: torqueNm,
      limitNm: passLimitNm(run, next.passIndex) ?? torqueNm,
      siblings: siblingCurves(run, next.passIndex, next.bolt),
      state: listener.state(),
    })
    for (const sample of curve) reader.add(sample)
  }

  function take(sample: TighteningSample) {
    const run = listener.run()
    const next = listener.next()
    if (over || !reader || !run?.figure || !next || atBolt !== `${run.runId} ${next.passIndex} ${next.bolt}`) return
    const last = before.at(-1)
    if (last && samples.value.length === before.length && !takenUp(last, sample)) return
    if (sample.angleDeg < (samples.value.at(-1)?.angleDeg ?? 0)) return
    samples.value = [...samples.value, sample]
    if (next.pass.kind === 'check') settle(sample.torqueNm >= run.figure.torqueNm * 0.995, null, run)
    else if (next.pass.kind === 'angle') {
      const { reached, gaveWay } = readAnglePass(samples.value, before.at(-1), next.pass.angleDeg!)
      settle(reached, gaveWay, run)
    } else {
      reading.value = reader.add(sample)
      settle(reading.value.verdict === 'good', reading.value.verdict === 'good' ? null : reading.value, run)
    }
  }

  function settle(reached: boolean, found: TighteningReading | null, run: TighteningRun) {
    if (found?.verdict && found.verdict !== 'good') {
      over = true
      reading.value = found
      link?.stop(found.because)
      listener.stopped(found, keepReading(found.verdict, samples.value))
    } else if (reached) {
      over = true
      listener.done(keepReading('good', samples.value))
      if (listener.run()?.runId === run.runId) startBolt(false)
    }
  }

  function connect() {
    disconnect()
    problem.value = ''
    connecting.value = true
    link = new WebSocketWrench(address.value)
    link.open({
      connected: said => {
        connecting.value = false
        name.value = said
        startBolt(false)
      },
      gone: reason => {
        connecting.value = false
        name.value = ''
        over = true
        problem.value = reason
      },
      // Until the wrench says so, what it sends still belongs to the bolt before.
      bolt: (bolt, angleDeg) => {
        const run = listener.run()
        const next = listener.next()
        if (!run?.figure || !next || atBolt !== `${run.runId} ${next.passIndex} ${bolt}`) return
        // A bolt that has not been turned is a new one, whatever was read of the one before it.
        if (angleDeg === 0 && samples.value.length > 0) readFrom(run, next, [])
        over = false
      },
      sample: take,
      released: () => reader?.release(),
    })
  }
  function disconnect() {
    link?.close()
    link = null
    name.value = ''
    connecting.value = false
    over = true
  }
  onBeforeUnmount(disconnect)
  return { address, name, problem, connecting, samples, reading, connect, disconnect, startBolt }
}
