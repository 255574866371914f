import type { JobSummary } from '../../core/job'
import type { WeekPlan } from '../../core/sequence'

/** The blocks of the days ahead as a calendar file. The library is fetched when it is first wanted. */
export async function weekCalendar(plan: WeekPlan, lines: Map<string, JobSummary>, now: Date): Promise<Blob> {
  const { default: ical } = await import('ical-generator')
  const calendar = ical({ name: 'Days ahead', prodId: { company: 'Eldrin', product: 'Eldrin', language: 'EN' } })
  const at = (minutes: number) => new Date(now.getTime() + minutes * 60_000)
  for (const block of plan.blocks) {
    const { number, vehicleName, customer } = lines.get(block.jobId)!
    const name = `${block.jobId}-${block.segment}-${plan.blocks.filter(other => other.jobId === block.jobId && other.from < block.from).length}`
    calendar.createEvent({
      id: `${name}-work`,
      summary: `${vehicleName} (${number})`,
      description: customer,
      start: at(block.from),
      end: at(block.to),
      stamp: now,
    })
    if (block.travel)
      calendar.createEvent({
        id: `${name}-road`,
        summary: `On the road to ${vehicleName}`,
        start: at(block.travel[0]),
        end: at(block.travel[1]),
        stamp: now,
      })
  }
  return new Blob([calendar.toString()], { type: 'text/calendar' })
}
