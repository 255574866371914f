import type { Link } from '../packs/types'
import { advance, earliestStart, setupCost, startMoment } from './clock'
import type { Network } from './network'
import type { PlannedStep } from './types'

/** Writes an order out with its times; bringing the car up or down becomes a step of its own. */
export function timetable(network: Network, links: Link[], order: number[]): PlannedStep[] {
  const finish = new Float64Array(network.operations.length)
  const steps: PlannedStep[] = []
  const moment = startMoment(network)
  let moves = 0
  for (const step of order) {
    const operation = network.operations[step]!
    const cost = setupCost(network, moment, step)
    const from = { ...moment }
    advance(network, finish, moment, step)
    const place = operation.place
    let clock = from.minutes
    if (moment.car !== from.car) {
      const kind = moment.car === 'raised' ? 'raise' : 'lower'
      moves++
      steps.push({
        id: `${kind}-${moves}`, kind, place, car: moment.car, setupMinutes: 0, waitMinutes: 0, shortHanded: false,
        startMinutes: clock, finishMinutes: clock + cost.positionMinutes,
      })
      clock += cost.positionMinutes
    }
    const ready = clock + cost.walkMinutes + cost.toolMinutes
    const start = moment.minutes - network.minutes[step]!
    const because = start > ready + 1e-6 ? waitReason(network, links, finish, step) : undefined
    steps.push({
      id: operation.id, kind: 'operation', place, car: moment.car,
      startMinutes: start, finishMinutes: moment.minutes,
      setupMinutes: cost.walkMinutes + cost.toolMinutes,
      waitMinutes: because === undefined ? 0 : start - ready,
      ...(because === undefined ? {} : { waitBecause: because }),
      shortHanded: operation.hands === 2 && !network.setting.helper,
    })
  }
  return steps
}

function waitReason(network: Network, links: Link[], finish: Float64Array, step: number): string {
  const latest = earliestStart(network, finish, step)
  const binding = network.before[step]!.find(link => finish[link.from]! + link.waitMinutes === latest)!
  const before = network.operations[binding.from]!.id
  return links.find(link => link.before === before && link.after === network.operations[step]!.id && link.waitMinutes === binding.waitMinutes)!.because
}
