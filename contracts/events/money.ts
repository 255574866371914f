import { z } from 'zod'
import type { MoneyEvents } from '../../core/job/chapters/money'
import { words } from '../common'
import { issuedPaper } from '../papers'
import type { Contract } from './contract'

export const moneyByServer = {
  'paper-issued': issuedPaper.describe(
    'A paper as it left the house, whole: whatever changes later, this is what it said. A correction is a new one that names the old.',
  ),
} satisfies Contract<Pick<MoneyEvents, 'paper-issued'>>

export const money = {
  paid: z
    .strictObject({
      amount: z
        .number()
        .min(-1e6)
        .max(1e6, 'No job costs that much.')
        .refine(value => value !== 0, 'How much was it?'),
      how: words(120),
    })
    .describe('Money that came in, in the garage’s own; less than nothing is given back.'),
} satisfies Contract<Omit<MoneyEvents, keyof typeof moneyByServer>>
