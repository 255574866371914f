import { readPack } from '../../contracts/read-pack'
import { expandPack } from '../../core/packs'
import { planJob } from '../../core/sequence'
import type { PackAnswer, PackAsk } from '../lib/pack-messages'

/** How hard the preview searches: it follows the typing. */
const MOVES = 6000

self.onmessage = ({ data: { ask, yaml, terms } }: MessageEvent<PackAsk>) => {
  const { pack, problems } = readPack(yaml, terms)
  const empty: PackAnswer = { ask, problems, preview: null, id: pack?.id ?? null, linkCount: 0 }
  if (!pack) return self.postMessage(empty)
  const procedure = expandPack(pack)
  const { totals, authored, trips, tools } = planJob(procedure, { helper: procedure.hands === 2 }, { effort: { moves: MOVES } })
  self.postMessage({
    ...empty, linkCount: procedure.links.length,
    preview: { totals, authored, trips: trips.map(({ place, car, minutes }) => ({ place, car, minutes })), toolCount: tools.length, stepCount: procedure.operations.length, parts: {} },
  } satisfies PackAnswer)
}
