import type { JobEvent } from './events'
import type { JobState } from './state'

/** Money that came in for a job, in the garage's own; less than nothing is given back. */
export interface PaymentPayloads { 'paid': { amount: number, how: string } }
export type Payment = PaymentPayloads['paid'] & { at: string, personId: string }

export const paymentAppliers = {
  'paid': (state: JobState, { payload, deviceTime, personId }: JobEvent<'paid'>) => {
    state.payments.push({ ...payload, at: deviceTime, personId })
  },
}

/** What has come in so far. */
export const paidSoFar = (state: Pick<JobState, 'payments'>): number => state.payments.reduce((sum, payment) => sum + payment.amount, 0)
