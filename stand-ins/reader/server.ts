import { fileURLToPath } from 'node:url'
import { Chance } from '../chance'
import { readLines } from '../json-lines'
import type { RunningStandIn } from '../listen'
import { spokenTool } from '../spoken-tool'
import { routines, SimulatedController } from './controller-model'
import type { Condition, RoutineId } from './controller-model'
import type { FromReader, ToReader } from './protocol'

const page = fileURLToPath(new URL('./page.html', import.meta.url))
const STEPS = 4

/** What a hand at the car does. */
type FromHand = { type: 'set'; change: Partial<Condition> }

const bounds: Record<Exclude<keyof Condition, 'plugOff' | 'untaught'>, [number, number]> = {
  wornMm: [0, 4],
  airMl: [0, 10],
  voltageV: [0, 16],
  temperatureC: [-30, 150],
}

/**
 * The simulated controller reader: `/reader` speaks to Eldrin, `/hand` to the page that changes the car, `/` is that page.
 * Only on loopback.
 * @param stepMs how long each quarter of a routine takes
 */
export function startReader({
  port,
  seed,
  stepMs = 500,
}: {
  port: number
  seed: number
  stepMs?: number
}): Promise<RunningStandIn> {
  const controller = new SimulatedController(new Chance(seed))
  const begun = Date.now()
  const clock = setInterval(() => {
    controller.passTo((Date.now() - begun) / 1000)
    show()
  }, 500)
  clock.unref()
  let running: RoutineId | null = null

  const { eldrin, hand, tell, listen } = spokenTool(page, '/reader')
  const say = (message: FromReader) => tell(eldrin, message)
  const show = () =>
    tell(hand, {
      type: 'state',
      condition: controller.condition,
      values: controller.values(),
      codes: controller.codes(),
      running,
      listeners: eldrin.clients.size,
    })

  function run(routine: RoutineId) {
    const refusal = running ? 'Another routine is under way' : controller.refusal(routine)
    if (refusal) return say({ type: 'refused', routine, reason: refusal })
    running = routine
    say({ type: 'begun', routine })
    let step = 0
    const timer = setInterval(() => {
      const stopped = controller.refusal(routine)
      step++
      if (stopped || step >= STEPS) {
        clearInterval(timer)
        running = null
        if (stopped) say({ type: 'refused', routine, reason: stopped })
        else {
          controller.finish(routine)
          say({ type: 'done', routine })
        }
      } else say({ type: 'progress', routine, percent: (100 * step) / STEPS })
      show()
    }, stepMs)
    timer.unref()
  }

  eldrin.on('connection', client => {
    client.send(
      `${JSON.stringify({ type: 'hello', reader: 'Simulated reader', routines: [...routines] } satisfies FromReader)}\n`,
    )
    show()
    client.on('message', data =>
      readLines<ToReader>(client, String(data), message => {
        controller.passTo((Date.now() - begun) / 1000)
        if (message.type === 'read-codes') say({ type: 'codes', codes: controller.codes() })
        else if (message.type === 'clear-codes') {
          controller.clear()
          say({ type: 'codes', codes: controller.codes() })
        } else if (message.type === 'read-values') say({ type: 'values', values: controller.values() })
        else if (message.type === 'run' && routines.some(({ id }) => id === message.routine))
          run(message.routine as RoutineId)
        else return 'Known are read-codes, clear-codes, read-values, and run with one of the routines.'
        show()
        return null
      }),
    )
    client.on('close', show)
  })
  hand.on('connection', client => {
    show()
    client.on('message', data =>
      readLines<FromHand>(client, String(data), message => {
        if (message.type !== 'set' || !canBe(message.change)) return 'Known is set with a change of the car.'
        controller.set(message.change)
        show()
        return null
      }),
    )
  })
  return listen(port)
}

/** Whether a car can be like that. */
function canBe(change: unknown): change is Partial<Condition> {
  if (typeof change !== 'object' || change === null) return false
  return Object.entries(change).every(([key, value]) => {
    if (key === 'plugOff' || key === 'untaught') return typeof value === 'boolean'
    if (!Object.hasOwn(bounds, key) || typeof value !== 'number') return false
    const [low, high] = bounds[key as keyof typeof bounds]
    return value >= low && value <= high
  })
}
