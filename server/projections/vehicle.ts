import type { FastenerFacts, Figure } from '../../core/fasteners'
import type { Projection } from './projection'

/** A figure of the car's book with who entered it and when, ISO 8601. */
export interface BookFigure {
  figure: Omit<Figure, 'entered'>
  enteredBy: string
  enteredAt: string
}

/** The newest figure of the car's book for each group, so that the next job on the car knows. */
export const figures: Projection<{ vehicleId: string; figures: BookFigure[] }> = {
  name: 'figures of the car’s book',
  of: ({ state }) => ({
    vehicleId: state.vehicle!.id,
    figures: Object.keys(state.figures)
      .sort()
      .flatMap((group): BookFigure[] => {
        const named = state.figures[group]!.findLast(figure => figure.sourceKind === 'vehicle-book')
        if (!named) return []
        const { personId, at, ...figure } = named
        return [{ figure, enteredBy: personId, enteredAt: new Date(at).toISOString() }]
      }),
  }),
  read: (store, jobId) => store.vehicles.figuresOfJob(jobId),
  write: (store, jobId, rows) => store.vehicles.keepFiguresOfJob(jobId, rows),
}

/** What the car's own fasteners are, with the place of the telling in the log. */
export const fasteners: Projection<{ vehicleId: string; fasteners: { group: string; fastener: FastenerFacts }[] }> = {
  name: 'what the car’s fasteners are',
  of: ({ state }) => {
    const own = new Set(state.procedure?.groups.filter(group => group.part === 'vehicle').map(group => group.id))
    return {
      vehicleId: state.vehicle!.id,
      fasteners: Object.entries(state.fasteners)
        .filter(([group]) => own.has(group))
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([group, fastener]) => ({ group, fastener })),
    }
  },
  read: (store, jobId) => store.vehicles.fastenersOfJob(jobId),
  write: (store, jobId, rows) => store.vehicles.keepFastenersOfJob(jobId, rows),
}
