import { z } from 'zod'
import type { BreakInEvents } from '../../core/job/chapters/break-in'
import { odometer, words } from '../common'
import type { Contract } from './contract'

const distanceKm = z
  .number()
  .positive('The distance is above zero.')
  .max(10_000, 'No break-in is that long. Check the unit.')

export const breakIn = {
  'break-in-set': z
    .strictObject({ distanceKm, writtenAs: words(40), source: words(200), odometerKm: odometer })
    .describe('The rule of the kit’s sheet, from an odometer on; `writtenAs` is how the sheet has it.'),
  'odometer-read': z
    .strictObject({
      odometerKm: odometer,
      stopAndGo: z.number().min(0).max(1).optional(),
      hard: z.boolean().optional(),
    })
    .describe(
      'The odometer as it stands; `stopAndGo` is the share of the way since the last reading, `hard` that it slipped, was launched or pulled.',
    ),
} satisfies Contract<BreakInEvents>
