import type { Figure } from '../../core/fasteners'
import type { Projection } from './projection'

export interface SheetFigure {
  figure: Omit<Figure, 'entered'>
  namedAt: string
}

/** Figures of kit sheets, the newest of each sheet and group, so that the next job with the same kit has them. */
export const kits: Projection<SheetFigure[]> = {
  name: 'figures of kit sheets',
  of: ({ state }) => {
    const named = Object.values(state.figures)
      .flat()
      .filter(figure => figure.sourceKind === 'kit-sheet' && !figure.borrowed)
    const newest = new Map(named.map(figure => [`${figure.reference} ${figure.group}`, figure]))
    return [...newest]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([, { personId: _by, at, ...figure }]) => ({ figure, namedAt: new Date(at).toISOString() }))
  },
  read: (store, jobId) => store.kits.ofJob(jobId),
  write: (store, jobId, rows) => store.kits.keep(jobId, rows),
}
