import type { Link } from '../pack/operations'
import type { Procedure } from '../pack/pack'
import type { CarPosition } from '../pack/kinds'
import { EITHER_POSITION } from '../pack/kinds'
import { awayOf, positionTo } from '../pack/bay'
import { buildInstance } from './instance'
import type { Height, Instance, InstanceLink, InstanceStep } from './instance'
import { bindPins } from './pins'
import { minutesUnder } from './slower'
import type { PlanSetting, PlannedStep } from './types'

/** Where a plan goes on from: the steps done, and where they have left mechanic and car. */
export interface Past {
  steps: PlannedStep[]
  place: PlanSetting['start']['place']
  car: PlanSetting['start']['car']
}

export interface JobInstance {
  instance: Instance
  /** Why pins could not be kept. */
  droppedPins: { stepId: string; because: string }[]
}

/**
 * The work that is left, as the solver sees it: minutes with and without a helper, parts on their way,
 * pins, working hours, and waits that began with steps done already.
 */
export function jobInstance(procedure: Procedure, setting: PlanSetting, past: Past | null): JobInstance {
  const finished = new Map(past?.steps.map(step => [step.id, step.finishMinutes]))
  const left = procedure.operations.filter(operation => !finished.has(operation.id))
  const ids = new Set(left.map(operation => operation.id))
  const open = procedure.links.filter(link => ids.has(link.before) && ids.has(link.after))
  const bound = bindPins([...ids], open, setting.pins)
  const steps = left.map((operation): InstanceStep => {
    const two = operation.hands === 2 && !setting.helper
    const earliest = Math.max(
      0,
      ...releases(procedure.links, finished, operation.id),
      ...arrivals(setting, operation.parts),
    )
    const leader = bound.leaders.get(operation.id)
    const minutes = minutesUnder(procedure, operation, setting)
    return {
      id: operation.id,
      place: operation.place,
      car: operation.car === EITHER_POSITION ? 'either' : heightOf(procedure, operation.car),
      tools: operation.tools,
      // One pair of hands at work for two takes the long estimate. Common practice, no source.
      minutes: minutes[two && setting.helperWindow === null ? 2 : 1],
      ...(two ? { aloneMinutes: minutes[2] } : {}),
      ...(earliest > 0 ? { notBefore: earliest } : {}),
      ...(operation.dirt ? { hands: operation.dirt } : {}),
      ...(leader === undefined ? {} : { directlyAfter: leader }),
    }
  })
  const instance = buildInstance({
    steps,
    links: [...(open as InstanceLink[]), ...bound.links],
    setup: {
      walkMinutes: setting.walkMinutes,
      toolMinutes: setting.toolMinutes,
      washMinutes: setting.washMinutes,
      trayTools: setting.trayTools ?? 0,
      raiseMinutes: positionTo(procedure, 'away').minutes[1],
      lowerMinutes: positionTo(procedure, 'home').minutes[1],
    },
    start: {
      place: (past ?? setting.start).place,
      car: heightOf(procedure, (past ?? setting.start).car),
      minutes: past?.steps.at(-1)?.finishMinutes ?? 0,
    },
    helper: setting.helperWindow,
    calendar: setting.hours && {
      hours: setting.hours,
      startMinuteOfDay: setting.startMinuteOfDay,
      startWeekday: setting.startWeekday,
    },
  })
  return { instance, droppedPins: bound.dropped }
}

const heightOf = (procedure: Procedure, car: CarPosition): Height => (car === awayOf(procedure) ? 'raised' : 'ground')

function releases(links: Link[], finished: Map<string, number>, id: string): number[] {
  return links
    .filter(link => link.after === id && link.waitMinutes > 0 && finished.has(link.before))
    .map(link => finished.get(link.before)! + link.waitMinutes)
}

function arrivals(setting: PlanSetting, parts: Record<string, number>): number[] {
  return setting.arrivals.filter(arrival => Object.hasOwn(parts, arrival.partId)).map(arrival => arrival.atMinutes)
}
