import { z } from 'zod'
import type { HandedEvents } from '../../core/job/chapters/handed'
import { key, uuid } from '../common'
import type { Contract } from './contract'

export const handed = {
  'steps-handed': z
    .strictObject({ stepIds: z.array(key()).min(1).max(100), to: uuid.nullable() })
    .describe('Steps are for somebody who only helps to tick, besides whoever runs the job; `null` takes them back.'),
} satisfies Contract<HandedEvents>
