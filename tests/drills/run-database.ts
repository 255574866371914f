import { spawnSync } from 'node:child_process'
import { freshDatabase } from '../support/database'
import { databaseDrill } from './database'
import type { DatabaseDrill, DrillOptions } from './database'
import { keepTable } from './reliability-page'

/** `npm run drill:database`: crash, stop for 60 s, silence for 40 s, each ten times; ELDRIN_DRILL_TIMES changes how often. */
const times = Number(process.env.ELDRIN_DRILL_TIMES ?? 10)
const home = process.env.DRILL_PG_HOME!
const port = process.env.DRILL_PG_PORT!

function postgres(command: string): void {
  const { status, stderr } = spawnSync('bash', ['-c', `. bin/lib.sh; ${command}`], {
    encoding: 'utf8',
    env: { ...process.env, HOME_OF_PG: home, PORT_OF_PG: port },
  })
  if (status !== 0) throw new Error(stderr)
}
const away = (mode: 'immediate' | 'fast') => async (isAway: boolean) =>
  postgres(isAway ? `pg_away "$HOME_OF_PG" ${mode}` : 'pg_back "$HOME_OF_PG" "$PORT_OF_PG"')

const kinds: { name: string; options: DrillOptions }[] = [
  { name: 'crash', options: { fault: 'crash', awayMs: 500, away: away('immediate') } },
  { name: 'stopped for 60 s', options: { fault: 'stop', awayMs: 60_000, away: away('fast') } },
  { name: 'silent for 40 s', options: { fault: 'silence', awayMs: 40_000 } },
]
const most = (values: number[]) => Math.max(...values)
const sum = (values: number[]) => values.reduce((total, value) => total + value, 0)

const rows: (string | number)[][] = []
let failed = false
for (const { name, options } of kinds) {
  const drills: DatabaseDrill[] = []
  for (let time = 0; time < times; time++) {
    const database = await freshDatabase()
    drills.push(await databaseDrill(database, options))
    await database.drop()
    console.log(name, JSON.stringify(drills.at(-1)))
  }
  const good =
    sum(drills.map(drill => drill.goodPercent * drill.requestsAfter)) / sum(drills.map(drill => drill.requestsAfter))
  const [lost, doubled, stale] = [
    sum(drills.map(drill => drill.lost)),
    sum(drills.map(drill => drill.doubled)),
    sum(drills.map(drill => drill.stale)),
  ]
  failed ||= lost + doubled + stale > 0 || good < 99
  rows.push([
    `${name}, ${times} times`,
    sum(drills.map(drill => drill.acknowledged)),
    lost,
    doubled,
    most(drills.map(drill => drill.goodAfterSeconds)).toFixed(1),
    `${good.toFixed(2)} of 100`,
    most(drills.map(drill => drill.longestSeconds)).toFixed(1),
    stale,
  ])
}
keepTable(
  'database',
  [
    'the database',
    'acknowledged',
    'lost',
    'doubled',
    'good again after, s, at most',
    'good from 5 s on',
    'longest answer, s',
    'streams stale',
  ],
  rows,
)
process.exitCode = failed ? 1 : 0
