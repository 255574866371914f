import type { SharedAnswer } from '../../../../contracts/answers'
import { breakIn } from '../../../../core/job'
import { sharedJob } from '../../../shared-job'

/** What the customer sees: the car, how it stands, what was renewed, the break-in. Nothing of the log itself. */
export default defineRoute(async (event): Promise<SharedAnswer> => {
  const { state, garage, reader } = await sharedJob(useDatabase().db, getRouterParam(event, 'token')!, useShelf().terms)
  const steps = state.plan?.order.length ?? 0
  setHeader(event, 'cache-control', 'no-store')
  setHeader(event, 'x-robots-tag', 'noindex')
  return {
    garage,
    reader,
    number: state.number,
    vehicle: {
      name: state.vehicle!.name,
      make: state.vehicle!.make,
      model: state.vehicle!.model,
      year: state.vehicle!.year,
    },
    stepsDone: Object.keys(state.done).length,
    stepsTotal: steps,
    promisedAt: state.promisedAt,
    handedOverAt: state.handedOver?.at ?? null,
    calledOff: state.calledOff !== null,
    renewed: (state.procedure?.parts ?? [])
      .filter(part =>
        state.procedure!.operations.some(operation => operation.parts[part.id] && state.done[operation.id]),
      )
      .map(part => part.name),
    cause: state.causeFound ? { title: state.causeFound.title, text: state.causeFound.text } : null,
    left: Object.values(state.leftOpen).map(left => left.reason),
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
})
