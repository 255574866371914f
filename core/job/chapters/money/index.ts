import type { Chapter } from '../../chapters'
import { issuedPapers } from './issued-papers'
import type { IssuedPaper, IssuedPaperEvents } from './issued-papers'

export interface MoneyEvents extends IssuedPaperEvents {
  /** Money that came in for a job, in the garage's own; less than nothing is given back. */
  paid: { amount: number; how: string }
}
export type Payment = MoneyEvents['paid'] & { at: string; personId: string }

export interface MoneyState {
  payments: Payment[]
  /** Papers that left the house, the newest last. */
  issuedPapers: IssuedPaper[]
}

export const noMoney = (): MoneyState => ({ payments: [], issuedPapers: [] })

export const money: Chapter<MoneyEvents> = {
  paid: {
    words: 'Payment',
    wants: 'charge',
    undo: true,
    afterHandover: true,
    afterCallOff: true,
    admit: () => null,
    apply: (state, { payload, deviceTime, personId }) => {
      state.payments.push({ ...payload, at: deviceTime, personId })
    },
  },
  ...issuedPapers,
}

/** What has come in so far. */
export const paidSoFar = (state: Pick<MoneyState, 'payments'>): number =>
  state.payments.reduce((sum, payment) => sum + payment.amount, 0)
