import { standbyDrill } from './standby'
import type { StandbyDrill } from './standby'
import { keepTable } from './reliability-page'

/** `npm run drill:standby`: the primary is lost five times; ELDRIN_DRILL_TIMES changes how often. */
const times = Number(process.env.ELDRIN_DRILL_TIMES ?? 5)
const drills: StandbyDrill[] = []
for (let time = 0; time < times; time++) {
  drills.push(await standbyDrill())
  console.log(JSON.stringify(drills.at(-1)))
}
const sum = (pick: (drill: StandbyDrill) => number) => drills.reduce((total, drill) => total + pick(drill), 0)
const slowest = Math.max(...drills.map(drill => drill.writingAfterSeconds))
keepTable(
  'standby',
  [
    'the primary is lost',
    'acknowledged',
    'of them afterwards',
    'lost',
    'doubled',
    'writing again after, s, at most',
    'streams stale',
  ],
  [
    [
      `${times} times`,
      sum(drill => drill.acknowledged),
      sum(drill => drill.afterwards),
      sum(drill => drill.lost),
      sum(drill => drill.doubled),
      slowest.toFixed(1),
      sum(drill => drill.stale),
    ],
  ],
)
process.exitCode = sum(({ lost, doubled, stale }) => lost + doubled + stale) > 0 || slowest > 10 ? 1 : 0
