import type { JobState } from '../job/chapters'
import { restEnd } from '../job/views/bleed-stage'
import { breakIn } from '../job/views/break-in'

/** An entry of a calendar: a moment, or a span, with a name that stays when it moves. */
export interface CalendarEntry {
  uid: string
  title: string
  about: string
  from: string
  to: string
}

/** A re-check after the hand-over: after so many days, or so far into the break-in. Common practice, no source. */
const CHECKS = [
  { id: 'wheels', days: 3, title: '{Lug:many} after the first drives', about: 'Torque them again, on the ground.' },
  { id: 'leaks', days: 7, title: 'Look for leaks', about: 'Bell, shafts, plugs and lines.' },
] as const
/** What is looked at again when all has settled. Common practice, no source. */
const SETTLED_DAYS = 21
const PEDAL = { title: 'Free play and bite of the pedal', about: 'A new disc beds in: free play changes.' }
const QUARTER_MS = 15 * 60_000

/**
 * What of a job belongs into a calendar: the promise, parts on their way, a rest that runs, and after the hand-over the re-checks and
 * the end of the break-in by its forecast. The same state gives the same entries with the same names.
 */
export function jobCalendar(state: JobState): CalendarEntry[] {
  const car = `${state.vehicle?.name ?? 'Job'} (${state.number})`
  const entry = (id: string, title: string, at: string, about = '', lengthMs = QUARTER_MS): CalendarEntry => ({
    uid: `${state.jobId}-${id}`,
    title: `${car}: ${title}`,
    about,
    from: new Date(at).toISOString(),
    to: new Date(Date.parse(at) + lengthMs).toISOString(),
  })
  if (state.calledOff) return []
  const open: CalendarEntry[] = state.handedOver
    ? []
    : [
        ...(state.promisedAt ? [entry('promise', 'promised to be done', state.promisedAt)] : []),
        ...state.orders
          .filter(order => order.cameAt === null)
          .map(order => entry(`part-${order.orderId}`, `${order.name} is due`, order.arrivesAt, order.supplier)),
        ...Object.entries(state.bleeding).flatMap(([stepId, bleeding]) => {
          const until = state.done[stepId] ? null : restEnd(bleeding)
          return until ? [entry(`rest-${stepId}`, 'the rest is over, judge the pedal', until)] : []
        }),
      ]
  const after = state.handedOver
    ? [...CHECKS, { id: 'free-play', days: SETTLED_DAYS, ...(state.procedure?.control?.recheck ?? PEDAL) }].map(check =>
        entry(
          check.id,
          check.title,
          new Date(Date.parse(state.handedOver!.at) + check.days * 86_400_000).toISOString(),
          check.about,
          2 * QUARTER_MS,
        ),
      )
    : []
  const rule = state.handedOver ? state.breakIn : null
  const report = rule && breakIn(rule, rule.readings)
  return [
    ...open,
    ...after,
    ...(report?.endsAt
      ? [
          entry(
            'break-in',
            'break-in over, by its pace',
            report.endsAt,
            `${rule!.writtenAs} by ${rule!.source}. Check once more, with leaks and wheels.`,
          ),
        ]
      : []),
  ]
}
