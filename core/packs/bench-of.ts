import type { BenchData, Beside, Sheet, SheetField } from '../pack/sheets'
import type { When } from '../pack/kinds'

/** A bench with nothing on it. */
export const noBench: BenchData = { sheets: [], orientations: [], oldParts: [], reachable: [] }

/**
 * What of the bench belongs to a job or a layout: whatever names none of its steps is left out, and steps it lacks are no longer named.
 * @param has whether there is such a step
 * @param keep gives back what applies, with what is left of its `when`, or nothing
 */
export function benchOf(
  bench: BenchData,
  has: (step: string) => boolean,
  keep: <T extends { when: When }>(thing: T) => T[],
): BenchData {
  return {
    sheets: bench.sheets
      .filter(sheet => sheet.steps.some(has))
      .flatMap(keep)
      .map(({ beside, ...sheet }): Sheet => {
        // A question that only other layouts ask feeds no computation here; one with a slip of the pen still does, and is found.
        const absent = new Set(
          sheet.fields.filter(field => field.steps && !field.steps.some(has)).map(field => field.id),
        )
        const asked = (inputs: Record<string, string>) =>
          absent.size === 0
            ? inputs
            : Object.fromEntries(Object.entries(inputs).filter(([, field]) => !absent.has(field)))
        return {
          ...sheet,
          ...(sheet.draws ? { draws: asked(sheet.draws) } : {}),
          steps: sheet.steps.filter(has),
          fields: sheet.fields
            .filter(field => !absent.has(field.id))
            .flatMap(keep)
            .map(field => (field.reading && !has(field.reading.step) ? withoutReading(field) : field)),
          judges: sheet.judges.flatMap(keep).map(judge => ({ ...judge, inputs: asked(judge.inputs) })),
          ...(sheet.ways ? { ways: sheet.ways } : {}),
          ...(beside && (!beside.steps || beside.steps.some(has))
            ? { beside: besideOf(beside, absent, has, keep) }
            : {}),
        }
      }),
    orientations: bench.orientations
      .filter(entry => entry.off.some(has) || entry.back.some(has))
      .map(entry => ({ ...entry, off: entry.off.filter(has), back: entry.back.filter(has) })),
    oldParts: bench.oldParts
      .filter(entry => entry.off.some(has))
      .map(entry => ({ ...entry, off: entry.off.filter(has), until: entry.until.filter(has) })),
    ...(bench.mating && has(bench.mating.step) ? { mating: bench.mating } : {}),
    reachable: bench.reachable
      .filter(entry => entry.reachedBy.some(has))
      .map(entry => ({ ...entry, reachedBy: entry.reachedBy.filter(has) })),
  }
}

function withoutReading({ reading: _reading, ...field }: SheetField): SheetField {
  return field
}

function besideOf(
  beside: Beside,
  absent: Set<string>,
  has: (step: string) => boolean,
  keep: <T extends { when: When }>(thing: T) => T[],
): Beside {
  return {
    ...beside,
    ...(beside.steps ? { steps: beside.steps.filter(has) } : {}),
    own: beside.own.filter(id => !absent.has(id)),
    more: { fields: beside.more.fields.flatMap(keep), judges: beside.more.judges.flatMap(keep) },
  }
}
