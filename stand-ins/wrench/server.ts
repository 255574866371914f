import { fileURLToPath } from 'node:url'
import { Chance } from '../chance'
import { readLines as read } from '../json-lines'
import type { RunningStandIn } from '../listen'
import { spokenTool } from '../spoken-tool'
import { faults, SimulatedBolt } from './joint-model'
import type { Fault, GroupModel } from './joint-model'
import type { FromWrench, ToWrench } from './protocol'

const page = fileURLToPath(new URL('./page.html', import.meta.url))

/** What a hand on the wrench does. */
type FromHand =
  | { type: 'pull'; degrees: number }
  | { type: 'release' }
  | { type: 'fault'; fault: Fault | 'chance' }
  | { type: 'new-bolt' }

/** A fault in so many of ten bolts, when chance chooses. */
const FAULTS_IN_TEN = 3
const STEP_DEG = 1

export interface WrenchOptions {
  port: number
  seed: number
  /** Turns of running down; short on the bench, so that a hand can get through. */
  rundownDeg?: number
}

/**
 * The simulated torque wrench: `/wrench` speaks to Eldrin, `/hand` to the page that holds it, `/` is that page.
 * Only on loopback.
 */
export function startWrench({ port, seed, rundownDeg = 720 }: WrenchOptions): Promise<RunningStandIn> {
  const chance = new Chance(seed)
  let targetNm = 25
  let fault: Fault | 'chance' = 'none'
  let group = groupFor(targetNm, rundownDeg)
  /** Bolts of the group by number, as far as each was turned. */
  const bolts = new Map<number, SimulatedBolt>()
  let current = 0
  let bolt = newBolt()
  let stopped: string | null = null
  let peakNm = 0
  /** How often the wrench was put on a bolt. */
  let putOn = 0

  const { eldrin, hand, tell, listen } = spokenTool(page, '/wrench')
  const say = (message: FromWrench) => tell(eldrin, message)
  const show = () =>
    tell(hand, {
      type: 'state',
      targetNm,
      fault,
      stopped,
      putOn,
      angleDeg: bolt.angleDeg,
      peakNm,
      listeners: eldrin.clients.size,
    })

  function newBolt(): SimulatedBolt {
    const chosen =
      fault === 'chance' ? (chance.next() * 10 < FAULTS_IN_TEN ? chance.pick(faults.slice(1)) : 'none') : fault
    return new SimulatedBolt(group, chosen, chance)
  }
  function nextBolt(number: number, fresh: boolean) {
    current = number
    if (fresh) bolts.delete(number)
    bolt = bolts.get(number) ?? newBolt()
    bolts.set(number, bolt)
    stopped = null
    peakNm = 0
    putOn++
    say({ type: 'bolt', bolt: current, angleDeg: bolt.angleDeg })
    show()
  }
  function pull(degrees: number) {
    for (let done = 0; done < degrees && stopped === null; done += STEP_DEG) {
      const sample = bolt.turn(STEP_DEG)
      peakNm = Math.max(peakNm, sample.torqueNm)
      say({ type: 'sample', ...sample })
      tell(hand, { type: 'sample', ...sample })
      if (sample.torqueNm >= targetNm) {
        stopped = 'Click.'
        say({ type: 'released', peakNm })
      }
    }
    show()
  }

  eldrin.on('connection', client => {
    client.send(
      `${JSON.stringify({ type: 'hello', wrench: 'Simulated wrench', minNm: 5, maxNm: 210 } satisfies FromWrench)}\n`,
    )
    show()
    client.on('message', data =>
      read<ToWrench>(client, String(data), message => {
        if (message.type === 'set' && Number.isFinite(message.targetNm) && message.targetNm > 0) {
          targetNm = message.targetNm
          // A figure above what the joint was made for is another joint; a pass below it is the same.
          if (targetNm > group.targetNm || bolts.size === 0) {
            group = groupFor(message.figureNm ?? targetNm, rundownDeg)
            bolts.clear()
            bolt = newBolt()
            bolts.set(current, bolt)
          }
        } else if (message.type === 'stop') stopped = message.because
        else if (
          message.type === 'next' &&
          (message.bolt === undefined || (Number.isInteger(message.bolt) && message.bolt >= 0))
        )
          nextBolt(message.bolt ?? current + 1, message.fresh ?? false)
        else return 'Known are set with a targetNm above zero, stop, and next with the number of a bolt.'
        show()
        return null
      }),
    )
    client.on('close', show)
  })
  hand.on('connection', client => {
    show()
    client.on('message', data =>
      read<FromHand>(client, String(data), message => {
        if (message.type === 'pull' && message.degrees > 0 && message.degrees <= 3600) pull(message.degrees)
        else if (message.type === 'release') say({ type: 'released', peakNm })
        else if (message.type === 'fault' && (message.fault === 'chance' || faults.includes(message.fault))) {
          fault = message.fault
          nextBolt(current, true)
        } else if (message.type === 'new-bolt') nextBolt(current, true)
        else return 'Known are pull with degrees, release, fault and new-bolt.'
        return null
      }),
    )
  })

  return listen(port)
}

/** A sound joint for a target: about 60° from snug to the figure. */
function groupFor(targetNm: number, rundownDeg: number): GroupModel {
  return {
    targetNm,
    rundownDeg,
    prevailingNm: targetNm * 0.025,
    kneeDeg: 8,
    slopeNmPerDeg: targetNm / 60,
    yieldNm: targetNm * 1.45,
    noiseShare: 0.006,
  }
}
