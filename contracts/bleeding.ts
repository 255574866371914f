import { z } from 'zod'
import { instant, key } from './common'

/** What a device may post about a bleeding and its reservoir. */
const stepId = key()
const way = key()
const counts = { strokesPerRound: z.number().int().min(1).max(100), restMinutes: z.number().min(1).max(1440) }
const ml = z.number().positive('Say how much.').max(5000)

export const bleedPayloads = {
  'bleed-opened': z.strictObject({ stepId, ...counts, way: way.optional() }),
  'bleed-switched': z.strictObject({ stepId, way, ...counts }),
  'stroke-counted': z.strictObject({ stepId, count: z.number().int().min(1).max(100).optional() }),
  'portion-moved': z.strictObject({ stepId, ml: z.number().min(-2000).max(2000).refine(value => value !== 0, 'Say how much went through.') }),
  'rest-started': z.strictObject({ stepId }),
  'pedal-judged': z.strictObject({
    stepId, feel: z.enum(['soft', 'better', 'firm']), bubbles: z.enum(['none', 'few', 'many']).optional(), colour: z.enum(['dark', 'cloudy', 'clear']).optional(),
    lostMm: z.number().min(0).max(200, 'No pedal has so much travel. Check the unit.').optional(),
  }),
  'pace-started': z.strictObject({ stepId, at: instant }),
  'pace-stopped': z.strictObject({ stepId }),
  'fluid-bought': z.strictObject({ stepId, bottles: z.number().int().min(1).max(20), bottleMl: z.number().min(50).max(5000) }),
  'reservoir-set': z.strictObject({
    stepId, reservoirMl: z.number().min(0).max(5000), lowMl: z.number().min(0).max(5000), fullMl: z.number().min(1).max(5000).optional(), masterBoreMm: z.number().min(5).max(60), strokeMm: z.number().min(1).max(100),
    lineMl: z.number().positive().max(1000), deliveredShare: z.number().min(0).max(1),
  }),
  'reservoir-topped': z.strictObject({ stepId, ml }),
  'reservoir-drawn': z.strictObject({ stepId, ml }),
}
