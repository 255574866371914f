import { describe, expect, it } from 'vitest'
import { orderYard } from './order-yard'
import type { JobSummary } from './summary'

const line = (number: number, status: JobSummary['status'], minutesLeft = 0) =>
  ({ number, status, minutesLeft }) as JobSummary

describe('orderYard', () => {
  it('puts first what can be worked on, nearest its end, and last what is closed', () => {
    const jobs = [
      line(1, 'closed'),
      line(2, 'in-work', 90),
      line(3, 'in-work', 30),
      line(4, 'waiting'),
      line(5, 'ready'),
      line(6, 'planned'),
      line(7, 'break-in'),
      line(8, 'in-work', 30),
    ]
    expect(orderYard(jobs).map(job => job.number)).toEqual([5, 3, 8, 2, 6, 4, 7, 1])
    expect(jobs[0]!.number).toBe(1)
  })
})
