import type { SharedAnswer } from '../../contracts/answers'
import { breakIn } from '../../core/job'
import type { SharedJob } from './shared-job'

/**
 * What the customer sees: the car, how it stands, what was renewed, the break-in. Nothing of the log itself, nobody's name, and nothing
 * that was typed for the garage.
 */
export function sharedAnswer({ state, garage, reader }: SharedJob): SharedAnswer {
  const { name, make, model, year } = state.vehicle!
  return {
    garage,
    reader,
    number: state.number,
    vehicle: { name, make, model, year },
    stepsDone: Object.keys(state.done).length,
    stepsTotal: state.plan?.order.length ?? 0,
    promisedAt: state.promisedAt,
    handedOverAt: state.handedOver?.at ?? null,
    calledOff: state.calledOff !== null,
    renewed: (state.procedure?.parts ?? [])
      .filter(part =>
        state.procedure!.operations.some(operation => operation.parts[part.id] && state.done[operation.id]),
      )
      .map(part => part.name),
    cause: state.causeFound?.title ?? null,
    left: Object.keys(state.leftOpen).length,
    breakIn:
      state.breakIn && state.handedOver
        ? {
            writtenAs: state.breakIn.writtenAs,
            source: state.breakIn.source,
            distanceKm: state.breakIn.distanceKm,
            readings: [{ at: state.breakIn.startAt, odometerKm: state.breakIn.startKm }, ...state.breakIn.readings],
            report: breakIn(state.breakIn, state.breakIn.readings),
          }
        : null,
  }
}
