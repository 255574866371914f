import type { JobState } from '../../job/chapters'
import { paidSoFar } from '../../job/chapters/money'
import type { PaperSection } from '../../job/chapters/money/paper-doc'
import { jobCosts } from '../../job/views/costs'
import type { JobCosts } from '../../job/views/costs'
import type { PaperContext } from './context'
import { partsSection, totals } from './sums'
import { hours, phaseNames } from './words'

export function invoice(state: JobState, context: PaperContext): PaperSection[] {
  const { text, money, day, rates, observed } = context
  const costs = jobCosts(state, rates, observed)
  const paid = state.payments.map(payment => [`Paid ${day(payment.at)}, ${payment.how}`, money(-payment.amount)])
  return [
    {
      title: text('{Labor}'),
      lines: [
        `Charged by ${rates.priceShare ? 'the hours that were estimated' : 'the computed minutes of the plan'}. An hour is ${money(rates.labourPerHour)}.`,
        measuredLine(costs),
      ],
      table: {
        head: ['', 'Computed', 'Measured', 'Price'],
        right: [1, 2, 3],
        sums: 1,
        rows: [
          ...costs.byPhase.map(entry => [
            phaseNames[entry.phase],
            hours(entry.estimated),
            measuredText(entry),
            money((entry.estimated / 60) * rates.labourPerHour),
          ]),
          [
            text('{Labor}'),
            hours(costs.estimatedMinutes),
            measuredText({ ...costs, measured: costs.measuredSteps > 0 ? costs.measuredMinutes : null }),
            money(costs.labour),
          ],
        ],
      },
    },
    partsSection(costs.parts, context),
    {
      title: paid.length === 0 ? 'To pay' : 'To pay and paid',
      table: {
        head: ['', ''],
        right: [1],
        sums: 1,
        rows: [
          ...totals(costs, context, rates),
          ...paid,
          ...(paid.length ? [['Still to pay', money(costs.total - paidSoFar(state))]] : []),
        ],
      },
      ...(costs.unpriced.length
        ? { lines: [`Without a price, so not in the sum: ${costs.unpriced.map(text).join(', ')}.`] }
        : {}),
    },
  ]
}

/** Minutes that were measured, and of how many pieces of work where it is not all of them. */
function measuredText({
  measured,
  measuredSteps,
  steps,
}: {
  measured: number | null
  measuredSteps: number
  steps: number
}): string {
  if (measured === null) return 'not measured'
  return measuredSteps === steps ? hours(measured) : `${hours(measured)} for ${measuredSteps} of ${steps}`
}

function measuredLine({ measuredSteps, steps, measuredMinutes, measuredEstimate }: JobCosts): string {
  return measuredSteps === 0
    ? 'No working time was measured on this job.'
    : `Measured: ${hours(measuredMinutes)} for ${measuredSteps} of ${steps} pieces of work, which were computed at ${hours(measuredEstimate)}.`
}
