import { within } from '../base/field-error'

/** What a garage knows of a tool that is not in the house. Money in the garage's own. */
export interface ToolTerms {
  /** What it costs to buy, and to rent for a day; `null` where nobody has said. */
  buy: number | null
  rentPerDay: number | null
  /** Minutes to fetch it and bring it back; `null` where nobody lends it. */
  fetchMinutes: number | null
  /** Jobs in a year that want it. */
  jobsAYear: number
}

/** What it would take to have it for one job, or to do without it. */
export interface ToolQuestion extends ToolTerms {
  labourPerHour: number
  /** Days from its first use to its last, at least one. */
  days: number
  /** Minutes that this job takes longer without it; `null` where it is not done without. */
  withoutMinutes: number | null
}

export type ToolWayId = 'buy' | 'rent' | 'borrow' | 'without'

export interface ToolWay {
  id: ToolWayId
  /** What it costs this job; of a bought one its share of all jobs in its life. `null` where it is not known or not open. */
  cost: number | null
  /** What is laid out now. */
  now: number | null
  working: string
}

export interface ToolWays {
  ways: ToolWay[]
  /** The cheapest of those that are open and priced; `null` where none is. */
  advised: ToolWayId | null
  /** Jobs after which a bought one has paid for itself, beside the cheapest other way; `null` where there is none, or it never does. */
  paysAfterJobs: number | null
  because: string
}

/** A tool serves so long before it is worn, lost or lent for good. Common practice, no source. */
const LIFE_YEARS = 5

/**
 * Buy, rent, borrow or do without: each by what it costs this job, time at the garage's own rate.
 * @throws FieldError on the field at fault
 */
export function toolWays(question: ToolQuestion): ToolWays {
  const { labourPerHour, days, buy, rentPerDay, fetchMinutes, jobsAYear, withoutMinutes } = question
  within('labourPerHour', labourPerHour, 0, 100_000, 'What an hour costs')
  within('days', days, 1, 1000, 'The days it is wanted')
  within('jobsAYear', jobsAYear, 0, 1000, 'The jobs in a year')
  for (const [field, value] of [
    ['buy', buy],
    ['rentPerDay', rentPerDay],
    ['fetchMinutes', fetchMinutes],
    ['withoutMinutes', withoutMinutes],
  ] as const)
    if (value !== null) within(field, value, 0, 1_000_000, 'The price or the minutes')
  const time = (minutes: number) => (minutes / 60) * labourPerHour
  const jobs = Math.max(1, Math.round(jobsAYear * LIFE_YEARS))
  const fetched = fetchMinutes ?? 0
  const ways: ToolWay[] = [
    {
      id: 'buy',
      cost: buy === null ? null : buy / jobs,
      now: buy,
      working:
        buy === null
          ? 'Its price is not named.'
          : `Its price over ${jobs} ${jobs === 1 ? 'job' : 'jobs'} in ${LIFE_YEARS} years.`,
    },
    {
      id: 'rent',
      cost: rentPerDay === null ? null : rentPerDay * days + time(fetched),
      now: rentPerDay === null ? null : rentPerDay * days,
      working:
        rentPerDay === null
          ? 'What a day costs is not named.'
          : `${days} ${days === 1 ? 'day' : 'days'}${fetched > 0 ? `, and ${Math.round(fetched)} min to fetch it and bring it back` : ''}.`,
    },
    {
      id: 'borrow',
      cost: fetchMinutes === null ? null : time(fetchMinutes),
      now: fetchMinutes === null ? null : 0,
      working:
        fetchMinutes === null
          ? 'Nobody is named who lends it.'
          : `${Math.round(fetchMinutes)} min to fetch it and bring it back.`,
    },
    {
      id: 'without',
      cost: withoutMinutes === null ? null : time(withoutMinutes),
      now: withoutMinutes === null ? null : 0,
      working:
        withoutMinutes === null ? 'It is not done without.' : `The job takes ${Math.round(withoutMinutes)} min longer.`,
    },
  ]
  const priced = ways.filter(way => way.cost !== null)
  const best = priced.reduce<ToolWay | null>((least, way) => (least && least.cost! <= way.cost! ? least : way), null)
  const other = priced
    .filter(way => way.id !== 'buy')
    .reduce<ToolWay | null>((least, way) => (least && least.cost! <= way.cost! ? least : way), null)
  const paysAfterJobs = buy !== null && other && other.cost! > 0 ? Math.ceil(buy / other.cost!) : null
  return { ways, advised: best?.id ?? null, paysAfterJobs, because: saidOf(best, paysAfterJobs, jobs) }
}

const words: Record<ToolWayId, string> = {
  buy: 'Buy it',
  rent: 'Rent it',
  borrow: 'Borrow it',
  without: 'Do without it',
}

function saidOf(best: ToolWay | null, paysAfterJobs: number | null, jobs: number): string {
  if (!best) return 'No way is priced yet: name what it costs, or who lends it.'
  const pays =
    paysAfterJobs === null
      ? ''
      : paysAfterJobs <= jobs
        ? ` A bought one has paid for itself after ${paysAfterJobs} ${paysAfterJobs === 1 ? 'job' : 'jobs'}.`
        : ` A bought one would not pay for itself in its life: ${paysAfterJobs} jobs, and it sees ${jobs}.`
  return `${words[best.id]}: it costs least.${pays}`
}
