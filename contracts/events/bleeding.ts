import { z } from 'zod'
import type { BleedingEvents } from '../../core/job/chapters/bleeding'
import { instant, key } from '../common'
import type { Contract } from './contract'

const stepId = key()
const way = key()
const counts = { strokesPerRound: z.number().int().min(1).max(100), restMinutes: z.number().min(1).max(1440) }
const ml = z.number().positive('Say how much.').max(5000)
const reservoirMl = z.number().min(0).max(5000)

export const bleeding = {
  'bleed-opened': z
    .strictObject({ stepId, ...counts, way: way.optional() })
    .describe('A bleeding is opened, by the plan’s way or another that the plan holds.'),
  'bleed-switched': z
    .strictObject({ stepId, way, ...counts })
    .describe('It goes on another way; what was counted stays.'),
  'stroke-counted': z
    .strictObject({ stepId, count: z.number().int().min(1).max(100).optional() })
    .describe(
      '`count` strokes, one where it is left out. Refused where its way counts something else, or where the reservoir would fall below its low mark.',
    ),
  'portion-moved': z
    .strictObject({
      stepId,
      ml: z
        .number()
        .min(-2000)
        .max(2000)
        .refine(value => value !== 0, 'Say how much went through.'),
    })
    .describe(
      'Fluid that went through without a stroke: above zero out at the bleeder, below zero up into the reservoir.',
    ),
  'rest-started': z
    .strictObject({ stepId })
    .describe('The rest begins; where minutes are counted, the bleeder is open from now on.'),
  'pedal-judged': z
    .strictObject({
      stepId,
      feel: z.enum(['soft', 'better', 'firm']),
      bubbles: z.enum(['none', 'few', 'many']).optional(),
      colour: z.enum(['dark', 'cloudy', 'clear']).optional(),
      lostMm: z.number().min(0).max(200, 'No pedal has so much travel. Check the unit.').optional(),
    })
    .describe('A round ends with how the pedal is; bubbles, colour and lost travel if they were seen.'),
  'pace-started': z
    .strictObject({ stepId, at: instant })
    .describe('Two people go by a spoken count from this moment on, by the server’s clock (`GET /api/clock`).'),
  'pace-stopped': z.strictObject({ stepId }).describe('The spoken count ends.'),
  'fluid-bought': z
    .strictObject({ stepId, bottles: z.number().int().min(1).max(20), bottleMl: z.number().min(50).max(5000) })
    .describe('Bottles that were bought for it.'),
  'reservoir-set': z
    .strictObject({
      stepId,
      reservoirMl,
      lowMl: reservoirMl,
      fullMl: z.number().min(1).max(5000).optional(),
      masterBoreMm: z.number().min(5).max(60),
      strokeMm: z.number().min(1).max(100),
      lineMl: z.number().positive().max(1000),
      deliveredShare: z.number().min(0).max(1),
    })
    .describe('What is known of reservoir and line while a line is bled.'),
  'reservoir-topped': z.strictObject({ stepId, ml }).describe('Fluid poured in.'),
  'reservoir-drawn': z.strictObject({ stepId, ml }).describe('Fluid drawn off to make room.'),
} satisfies Contract<BleedingEvents>
