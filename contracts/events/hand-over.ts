import { z } from 'zod'
import type { HandOverEvents } from '../../core/job/chapters/hand-over'
import { key, odometer, words } from '../common'
import type { Contract } from './contract'

const entry = key(200)

export const handOver = {
  'left-open': z
    .strictObject({ entry, reason: words(300) })
    .describe(
      'An open entry stays as it is, with a reason under a name: `item:…`, `thing:…`, `bolt:…`, `tight:…`, `figure:…`, `finding:…`, `trouble:…`, `step:…`, `check:…`.',
    ),
  'left-open-withdrawn': z.strictObject({ entry }).describe('What was left, or answered for, is open again.'),
  'handed-over': z
    .strictObject({ to: words(120), odometerKm: odometer.nullable() })
    .describe(
      'The car is with its owner again. Refused while an entry is open without a reason, or one that no reason lets go.',
    ),
  'called-off': z.strictObject({ reason: words(300) }).describe('The job ends without its work being done.'),
} satisfies Contract<HandOverEvents>
