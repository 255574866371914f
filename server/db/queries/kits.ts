import { and, asc, desc, eq, lte } from 'drizzle-orm'
import type { Figure } from '../../../core/fasteners'
import type { Executor } from '../client'
import { job, kitFigure } from '../schema'

export interface KitFigure { reference: string, group: string, figure: Figure, jobNumber: number }

/** Figures of kit sheets, by the sheet they stand on. */
export function kitQueries(db: Executor, garageId: string) {
  return {
    /** Keeps a figure of a sheet unless a newer one is there. */
    async keep(jobId: string, figure: Figure, namedAt: Date) {
      const { group, reference } = figure
      await db.insert(kitFigure).values({ garageId, reference, group, figure, jobId, namedAt })
        .onConflictDoUpdate({ target: [kitFigure.garageId, kitFigure.reference, kitFigure.group], set: { figure, jobId, namedAt }, setWhere: lte(kitFigure.namedAt, namedAt) })
    },
    /** @param group of one fastener group alone, the newest first; all sheets in their order where it is left out */
    async list(group?: string): Promise<KitFigure[]> {
      return db.select({ reference: kitFigure.reference, group: kitFigure.group, figure: kitFigure.figure, jobNumber: job.number }).from(kitFigure).innerJoin(job, eq(job.id, kitFigure.jobId))
        .where(and(eq(kitFigure.garageId, garageId), ...(group === undefined ? [] : [eq(kitFigure.group, group)])))
        .orderBy(...(group === undefined ? [asc(kitFigure.reference), asc(kitFigure.group)] : [desc(kitFigure.namedAt)])).limit(200)
    },
  }
}
