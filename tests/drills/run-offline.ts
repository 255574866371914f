import { freshDatabase } from '../support/database'
import { keepTable } from './reliability-page'
import { offlineDrill } from './offline'

/** `npm run drill:offline`: 500 acts in 72 hours without a server, 200 times; ELDRIN_DRILL_TRIALS changes how often, ELDRIN_DRILL_PHONES on how many phones side by side. */
const database = await freshDatabase()
const begun = performance.now()
try {
  const drill = await offlineDrill(database, {
    trials: Number(process.env.ELDRIN_DRILL_TRIALS ?? 200),
    phones: Number(process.env.ELDRIN_DRILL_PHONES ?? 1),
    told: ({ trials, lost, doubled }) =>
      console.log(`${trials}: ${lost} lost, ${doubled} doubled, ${Math.round((performance.now() - begun) / 1000)} s`),
  })
  keepTable(
    'offline',
    ['trials', 'acts', 'lost', 'doubled', 'reloads', 'tabs closed', 'browsers killed'],
    [[drill.trials, drill.acts, drill.lost, drill.doubled, drill.reloads, drill.tabsClosed, drill.kills]],
  )
  process.exitCode = drill.lost + drill.doubled > 0 ? 1 : 0
} finally {
  await database.drop()
}
