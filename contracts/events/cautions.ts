import { z } from 'zod'
import type { CautionEvents } from '../../core/job/chapters/cautions'
import { key } from '../common'
import type { Contract } from './contract'

export const cautions = {
  'caution-acknowledged': z
    .strictObject({ cautionIds: z.array(key()).min(1).max(20) })
    .describe(
      'Somebody has read serious cautions, once for the whole job. A step with one that nobody has read is refused.',
    ),
} satisfies Contract<CautionEvents>
