import { readPack } from '../../contracts/read-pack'
import type { PackProblem } from '../../contracts/read-pack'
import type { PlanPreview } from '../../core/job'
import { bayOf, expandPack } from '../../core/packs'
import type { TermTable } from '../../core/packs'
import { planJob } from '../../core/sequence'
import { begin } from './begin'

/** What was found in the text of a layout. */
export interface PackFindings {
  problems: PackProblem[]
  /** The plan that the default options make; `null` while something is wrong. */
  preview: PlanPreview | null
  id: string | null
  linkCount: number
}

/** How hard the preview searches: it follows the typing. */
const MOVES = 6000

const packCheck = {
  /** Reads a text as a layout, and plans it by its default options. */
  check(yaml: string, terms: TermTable): PackFindings {
    const { pack, problems } = readPack(yaml, terms)
    const empty: PackFindings = { problems, preview: null, id: pack?.id ?? null, linkCount: 0 }
    if (!pack) return empty
    const procedure = expandPack(pack)
    const { totals, authored, trips, tools } = planJob(
      procedure,
      { helper: procedure.hands === 2 },
      { effort: { moves: MOVES } },
    )
    return {
      ...empty,
      linkCount: procedure.links.length,
      preview: {
        totals,
        authored,
        bay: bayOf(procedure),
        trips: trips.map(({ place, car, minutes }) => ({ place, car, minutes })),
        toolCount: tools.length,
        stepCount: procedure.operations.length,
        parts: {},
      },
    }
  },
}
export type PackCheck = typeof packCheck

begin(packCheck)
