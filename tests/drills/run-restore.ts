import { restoreDrill } from './restore'
import { keepTable } from './reliability-page'

/** `npm run drill:restore`: records destroyed, restored from their backups to the end and to a moment, compared. */
const drill = await restoreDrill({ devices: 4, runMs: Number(process.env.ELDRIN_DRILL_MS ?? 20_000) })
console.log(`restored in ${drill.restoredInSeconds.toFixed(1)} s`)
keepTable(
  'restore',
  [
    'acknowledged',
    'lost',
    'doubled',
    'lost at a moment',
    'too late for it',
    'replay equals projections',
    'restored in, s',
  ],
  [
    [
      drill.acknowledged,
      drill.lost,
      drill.doubled,
      drill.lostAtMoment,
      drill.laterAtMoment,
      drill.replayed ? 'yes' : 'no',
      drill.restoredInSeconds.toFixed(1),
    ],
  ],
)
const wrong = drill.lost + drill.doubled + drill.lostAtMoment + drill.laterAtMoment
process.exitCode = wrong > 0 || !drill.replayed ? 1 : 0
