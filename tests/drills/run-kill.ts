import { freshDatabase } from '../support/database'
import { killDrill } from './kill'
import { keepTable } from './reliability-page'

/** `npm run drill:kill`: a thousand kills of the server under posting by several devices; ELDRIN_DRILL_KILLS changes how many. */
const database = await freshDatabase()
try {
  const drill = await killDrill(database, { kills: Number(process.env.ELDRIN_DRILL_KILLS ?? 1000) })
  keepTable(
    'kill',
    ['kills', 'acknowledged', 'lost', 'doubled', 'answered again after, s, at most', 'streams stale'],
    [[drill.kills, drill.acknowledged, drill.lost, drill.doubled, drill.goodAfterSeconds.toFixed(1), drill.stale]],
  )
  process.exitCode = drill.lost + drill.doubled + drill.stale > 0 ? 1 : 0
} finally {
  await database.drop()
}
