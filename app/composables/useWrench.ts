import { useLocalStorage } from '@vueuse/core'
import { keepReading, tighteningReader } from '../../core/fasteners'
import type { BoltReading, NextBolt, TighteningReading, TighteningSample } from '../../core/fasteners'
import { earlierCurve, passLimitNm, siblingCurves } from '../../core/job'
import type { TighteningRun } from '../../core/job'
import { WebSocketWrench } from '../lib/wrench-link'
import type { TorqueWrenchLink } from '../lib/wrench-link'

const USUAL_ADDRESS = 'ws://127.0.0.1:3377/wrench'
/** At the start of a pull a bolt is below where it stood; samples count from this share of that on, or after so many degrees. */
const TAKEN_UP = { share: 0.9, deg: 12 }
/** In an angle pass torque that falls by this share is a bolt that goes. */
const FALL_SHARE = 0.85

interface Listener {
  run: () => TighteningRun | null
  next: () => NextBolt | null
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
    reader = tighteningReader({ targetNm: torqueNm, limitNm: passLimitNm(run, next.passIndex) ?? torqueNm, siblings: siblingCurves(run, next.passIndex, next.bolt) })
    for (const sample of curve) reader.add(sample)
  }

  function take(sample: TighteningSample) {
    const run = listener.run()
    const next = listener.next()
    if (over || !reader || !run?.figure || !next || atBolt !== `${run.runId} ${next.passIndex} ${next.bolt}`) return
    const last = before.at(-1)
    if (last && samples.value.length === before.length && sample.torqueNm < last.torqueNm * TAKEN_UP.share && sample.angleDeg < last.angleDeg + TAKEN_UP.deg) return
    if (sample.angleDeg < (samples.value.at(-1)?.angleDeg ?? 0)) return
    samples.value = [...samples.value, sample]
    if (next.pass.kind === 'check') settle(sample.torqueNm >= run.figure.torqueNm * 0.995, null, run)
    else if (next.pass.kind === 'angle') byAngle(sample, next.pass.angleDeg!, run)
    else {
      reading.value = reader.add(sample)
      settle(reading.value.verdict === 'good', reading.value.verdict === 'good' ? null : reading.value, run)
    }
  }

  /** By angle a bolt may pass yield by design; only torque that falls stops it. */
  function byAngle(sample: TighteningSample, angleDeg: number, run: TighteningRun) {
    const turned = sample.angleDeg - (before.at(-1)?.angleDeg ?? samples.value[0]!.angleDeg)
    const peak = Math.max(...samples.value.map(entry => entry.torqueNm))
    const fell = sample.torqueNm < peak * FALL_SHARE && samples.value.at(-2)!.torqueNm < peak * FALL_SHARE
    const found: TighteningReading | null = fell ? { verdict: 'gave-way', because: `Torque fell from ${peak.toFixed(1)} N·m to ${sample.torqueNm.toFixed(1)} N·m while it turned on.`, atAngleDeg: sample.angleDeg } : null
    settle(turned >= angleDeg, found, run)
  }

  function settle(reached: boolean, found: TighteningReading | null, run: TighteningRun) {
    if (found?.verdict && found.verdict !== 'good') {
      over = true
      reading.value = found
      link?.stop(found.because)
      listener.stopped(found, keepReading(found.verdict, samples.value))
    }
    else if (reached) {
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
      connected: (said) => {
        connecting.value = false
        name.value = said
        startBolt(false)
      },
      gone: (reason) => {
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
      released: () => {},
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
