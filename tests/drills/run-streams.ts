import { startApp } from '../support/app'
import { freshDatabase } from '../support/database'
import { keepTable } from './reliability-page'
import { streamsDrill, unreadStream } from './streams'

/** `npm run drill:streams`: 500 open Yards at two events a second, a thousand of them for two minutes, and one that reads nothing. */
const database = await freshDatabase()
const app = await startApp(database.url)
try {
  const seconds = Number(process.env.ELDRIN_DRILL_SECONDS ?? 60)
  const drills = [
    await streamsDrill(app, { streams: 500, seconds }),
    await streamsDrill(app, { streams: 1000, seconds: seconds * 2 }),
  ]
  const unread = await unreadStream(app, 4_000)
  console.log(
    `one that reads nothing: the server holds ${unread.grewMb} MB more, ${unread.letGo ? 'and lets it go' : 'and KEEPS it'}`,
  )
  keepTable(
    'streams',
    ['open Yards', 'events', 'heard of after, ms: half', '99 in 100', 'last', 'stale', 'memory, MB'],
    drills.map(drill => [
      drill.streams,
      drill.events,
      ...drill.heardMs.map(ms => Math.round(ms)),
      drill.stale,
      drill.memoryMb.join(' → '),
    ]),
  )
  const grew = drills.map(({ memoryMb: [begun, ended] }) => ended - begun)
  process.exitCode = drills.some(({ stale }) => stale > 0) || Math.max(...grew) > 100 || !unread.letGo ? 1 : 0
} finally {
  await app.kill()
  await database.drop()
}
