import type { Link } from '../pack/operations'
import type { Procedure } from '../pack/pack'
import { awayOf, homeOf } from '../pack/bay'
import { closedMinutes, closesAfter, nextOpen, workThrough } from './calendar'
import type { Calendar } from './calendar'
import { earliestStart, layTools, setupMinutes, startMoment, workMinutes } from './clock'
import { DIRTY, EITHER, GROUND, RAISED } from './instance'
import type { Instance } from './instance'
import type { PlannedStep, PlanSetting } from './types'

/** The words a timetable needs about each step. */
export interface StepWords {
  procedure: Procedure
  setting: PlanSetting
}

/**
 * Writes an order out with its times; bringing the car up or down becomes a step of its own, and so does bringing it down at last.
 * Work that does not fit before closing time is begun in the morning, unless it is longer than a day.
 * @param firstMove the number of the first raising or lowering, for its id
 */
export function timetable(
  instance: Instance,
  { procedure, setting }: StepWords,
  order: ArrayLike<number>,
  firstMove = 1,
): PlannedStep[] {
  const finish = new Float64Array(instance.count)
  const steps: PlannedStep[] = []
  const operations = new Map(procedure.operations.map(operation => [operation.id, operation]))
  const moment = startMoment(instance)
  const { calendar } = instance
  let moves = firstMove
  for (let position = 0; position < order.length; position++) {
    const step = order[position]!
    const operation = operations.get(instance.ids[step]!)!
    const wanted = instance.car[step]!
    const moving = wanted !== EITHER && wanted !== moment.car ? instance.positionMinutes[wanted]! : null
    const setup = setupMinutes(instance, moment, step) - (moving ?? 0)
    const car = wanted === EITHER ? moment.car : wanted
    const carName = car === RAISED ? awayOf(procedure) : homeOf(procedure)
    let clock = moment.minutes
    if (moving !== null) {
      const kind = car === RAISED ? 'raise' : 'lower'
      const at = fit(calendar, clock, moving)
      steps.push({
        id: `${kind}-${moves++}`,
        kind,
        place: operation.place,
        car: carName,
        setupMinutes: 0,
        waitMinutes: 0,
        shortHanded: false,
        startMinutes: at.start,
        finishMinutes: at.finish,
        minutes: moving,
        ...closedNote(at.finish - clock - moving),
      })
      clock = at.finish
    }
    const likely = setup + workMinutes(instance, clock + setup, step)
    const ready = fit(calendar, clock, likely).start + setup
    const earliest = earliestStart(instance, finish, step)
    const start = earliest > ready ? fit(calendar, earliest, workMinutes(instance, earliest, step)).start : ready
    const minutes = workMinutes(instance, start, step)
    const end = calendar ? workThrough(calendar, start, minutes) : start + minutes
    // Idle is what a link or a part makes wait while work is open; the rest is closing time, and a day's end too short for the step.
    const free = calendar ? workThrough(calendar, clock, setup) : clock + setup
    const wait = earliest > free ? earliest - free - (calendar ? closedMinutes(calendar, free, earliest) : 0) : 0
    const closed = Math.max(0, end - clock - setup - minutes - wait)
    finish[step] = end
    steps.push({
      id: operation.id,
      kind: 'operation',
      place: operation.place,
      car: carName,
      startMinutes: start,
      finishMinutes: end,
      minutes,
      setupMinutes: setup,
      waitMinutes: wait < 1e-6 ? 0 : wait,
      ...(wait < 1e-6 ? {} : { waitBecause: waitReason(instance, procedure, setting, finish, step) }),
      ...closedNote(closed),
      shortHanded:
        operation.hands === 2 && !setting.helper && !(start >= instance.helperFrom && end <= instance.helperTo),
    })
    layTools(instance, moment, step)
    moment.minutes = end
    moment.last = step
    moment.car = car
    if (instance.hands[step] !== 0) moment.dirty = instance.hands[step] === DIRTY
  }
  const last = steps.at(-1)
  if (last && moment.car === RAISED && isProved(procedure)) steps.push(broughtDown(instance, procedure, last, moves))
  return steps
}

/** Work that proves the car ends with it as it came; what was done anew behind the proving may have left it up. */
const isProved = ({ operations }: Procedure) => operations.some(({ phase }) => phase === 'prove')

function broughtDown(instance: Instance, procedure: Procedure, last: PlannedStep, number: number): PlannedStep {
  const minutes = instance.positionMinutes[GROUND]
  const at = fit(instance.calendar, last.finishMinutes, minutes)
  return {
    id: `lower-${number}`,
    kind: 'lower',
    place: last.place,
    car: homeOf(procedure),
    setupMinutes: 0,
    waitMinutes: 0,
    shortHanded: false,
    startMinutes: at.start,
    finishMinutes: at.finish,
    minutes,
    ...closedNote(at.finish - last.finishMinutes - minutes),
  }
}

/** When work of some minutes can begin at `minutes` or later without being cut by closing time. */
function fit(calendar: Calendar | null, minutes: number, duration: number): { start: number; finish: number } {
  if (!calendar) return { start: minutes, finish: minutes + duration }
  let start = nextOpen(calendar, minutes)
  const whole = calendar.hours.toMinute - calendar.hours.fromMinute
  if (start + duration > closesAfter(calendar, start) + 1e-9 && duration <= whole)
    start = nextOpen(calendar, closesAfter(calendar, start))
  return { start, finish: workThrough(calendar, start, duration) }
}

function closedNote(minutes: number): { closedMinutes?: number } {
  return minutes > 1e-6 ? { closedMinutes: minutes } : {}
}

function waitReason(
  instance: Instance,
  procedure: Procedure,
  setting: PlanSetting,
  finish: Float64Array,
  step: number,
): string {
  const id = instance.ids[step]!
  const binding = instance.waits[step]!.map(wait => ({ wait, free: finish[wait.from]! + wait.minutes })).sort(
    (a, b) => b.free - a.free,
  )[0]
  const sentence = (match: (link: Link) => boolean) =>
    procedure.links.find(link => link.after === id && link.waitMinutes > 0 && match(link))?.because
  if (binding && binding.free >= (instance.notBefore?.[step] ?? 0)) {
    return (
      sentence(link => link.before === instance.ids[binding.wait.from] && link.waitMinutes === binding.wait.minutes) ??
      'It waits for an earlier step.'
    )
  }
  const parts = procedure.operations.find(operation => operation.id === id)!.parts
  const late = setting.arrivals
    .filter(arrival => Object.hasOwn(parts, arrival.partId))
    .sort((a, b) => b.atMinutes - a.atMinutes)[0]
  const part = procedure.parts.find(entry => entry.id === late?.partId)
  return part ? `Waits for a part: ${part.name}.` : (sentence(() => true) ?? 'It waits for an earlier step.')
}
