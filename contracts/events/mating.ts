import { z } from 'zod'
import type { MatingEvents } from '../../core/job/chapters/mating'
import type { Contract } from './contract'

const reading = z.strictObject({
  angleDeg: z.number().min(-360).max(360),
  gapMm: z.number().min(0, 'A gap is zero or more.').max(400, 'Check the unit.'),
})

export const mating = {
  'gap-measured': z
    .strictObject({
      diameterMm: z.number().min(50, 'No bell is that small.').max(1500, 'No bell is that wide. Check the unit.'),
      readings: z.array(reading).min(3, 'Three places at least.').max(12),
    })
    .describe(
      'The gap round the bell: it is the reading of the step that mates. While the last one is not closed nobody can say that the faces meet.',
    ),
} satisfies Contract<MatingEvents>
