import { and, asc, desc, eq } from 'drizzle-orm'
import type { Figure } from '../../../core/fasteners'
import type { SheetFigure } from '../../projections/kits'
import type { Executor } from '../client'
import { job, kitFigure } from '../schema'

export interface KitFigure {
  reference: string
  group: string
  figure: Omit<Figure, 'entered'>
  jobNumber: number
}

/** Figures of kit sheets, by the sheet they stand on. */
export function kitQueries(db: Executor, garageId: string) {
  return {
    async ofJob(jobId: string): Promise<SheetFigure[]> {
      const rows = await db
        .select()
        .from(kitFigure)
        .where(and(eq(kitFigure.garageId, garageId), eq(kitFigure.jobId, jobId)))
      const place = ({ figure }: SheetFigure) => `${figure.reference} ${figure.group}`
      return rows
        .map(row => ({ figure: row.figure, namedAt: row.namedAt.toISOString() }))
        .sort((a, b) => (place(a) < place(b) ? -1 : 1))
    },
    /** Puts the figures that a job named in the place of those it named before. */
    async keep(jobId: string, figures: SheetFigure[]) {
      await db.delete(kitFigure).where(and(eq(kitFigure.garageId, garageId), eq(kitFigure.jobId, jobId)))
      if (figures.length === 0) return
      await db.insert(kitFigure).values(
        figures.map(({ figure, namedAt }) => ({
          garageId,
          jobId,
          reference: figure.reference,
          group: figure.group,
          figure,
          namedAt: new Date(namedAt),
        })),
      )
    },
    /** @param group of one fastener group alone, the newest first; all sheets in their order where it is left out */
    async list(group?: string): Promise<KitFigure[]> {
      // The newest of each sheet and group among all jobs.
      const rows = await db
        .selectDistinctOn([kitFigure.reference, kitFigure.group], {
          reference: kitFigure.reference,
          group: kitFigure.group,
          figure: kitFigure.figure,
          jobNumber: job.number,
          namedAt: kitFigure.namedAt,
        })
        .from(kitFigure)
        .innerJoin(job, and(eq(job.garageId, garageId), eq(job.id, kitFigure.jobId)))
        .where(and(eq(kitFigure.garageId, garageId), ...(group === undefined ? [] : [eq(kitFigure.group, group)])))
        .orderBy(asc(kitFigure.reference), asc(kitFigure.group), desc(kitFigure.namedAt), desc(job.number))
      const shown = group === undefined ? rows : rows.sort((a, b) => b.namedAt.getTime() - a.namedAt.getTime())
      return shown.slice(0, MOST_SHEETS).map(({ namedAt: _at, ...line }) => line)
    },
  }
}

const MOST_SHEETS = 200
