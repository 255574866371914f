import type { JobState } from '../../job/chapters'
import type { PaperSection } from '../../job/chapters/money/paper-doc'
import { jobCosts } from '../../job/views/costs'
import { jobPackages } from '../../job/views/offers'
import { beyondSection } from './beyond'
import type { PaperContext } from './context'
import { partsSection, totals } from './sums'
import { hours, phaseNames } from './words'

const offerNames = {
  must: 'What has to be',
  sensible: 'What pays on average too',
  everything: 'All that is in reach',
} as const

export function estimate(state: JobState, context: PaperContext): PaperSection[] {
  const { text, money, rates, observed, reach } = context
  const costs = jobCosts(state, rates, observed)
  const { packages, unpriced } = jobPackages(state, rates, reach)
  const { title, operations } = state.procedure!
  return [
    {
      title: 'The work',
      lines: [
        `${text(title)}: ${operations.length} pieces of work, ${hours(costs.estimatedMinutes)} in all.`,
        ...(rates.priceShare
          ? [`So many hours are enough for ${Math.round(rates.priceShare * 100)} of 100 such jobs.`]
          : []),
      ],
      table: {
        head: ['', 'Time', 'Price'],
        right: [1, 2],
        sums: 1,
        rows: [
          ...costs.byPhase.map(entry => [
            phaseNames[entry.phase],
            hours(entry.estimated),
            money((entry.estimated / 60) * rates.labourPerHour),
          ]),
          [text('{Labor}'), hours(costs.estimatedMinutes), money(costs.labour)],
        ],
      },
    },
    partsSection(costs.parts, context),
    ...beyondSection(state, context),
    {
      title: 'In all',
      table: { head: ['', ''], right: [1], sums: 1, rows: totals(costs, context, rates) },
      ...(costs.unpriced.length ? { lines: [`Not priced yet: ${costs.unpriced.map(text).join(', ')}.`] } : {}),
    },
    {
      title: 'While it is open: three offers',
      lines: [
        ...packages.map(
          offer =>
            `${offerNames[offer.id]}: ${offer.names.length ? offer.names.map(text).join(', ') : 'nothing more'}; ${hours(offer.minutes)} and ${money(offer.total)} more.`,
        ),
        ...(unpriced.length ? [`In reach and not priced yet: ${unpriced.map(text).join(', ')}.`] : []),
      ],
    },
    {
      title: 'What may change it',
      caution: true,
      lines: [
        'What is found with the box out can change work and price; nothing is renewed beyond this without the customer’s word.',
      ],
    },
  ]
}
