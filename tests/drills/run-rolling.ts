import { freshDatabase } from '../support/database'
import { keepTable } from './reliability-page'
import { rollingDrill } from './rolling'

/** `npm run drill:rolling`: both processes renewed three times under load; ELDRIN_DRILL_TIMES changes how often. */
const database = await freshDatabase()
try {
  const drill = await rollingDrill(database, { renewals: Number(process.env.ELDRIN_DRILL_TIMES ?? 3) })
  keepTable(
    'rolling',
    ['renewed', 'requests', 'refused', 'acknowledged', 'lost', 'doubled', 'longest answer, s'],
    [
      [
        `${drill.renewals} times`,
        drill.requests,
        drill.refused,
        drill.acknowledged,
        drill.lost,
        drill.doubled,
        drill.longestSeconds.toFixed(1),
      ],
    ],
  )
  process.exitCode = drill.refused + drill.lost + drill.doubled > 0 ? 1 : 0
} finally {
  await database.drop()
}
