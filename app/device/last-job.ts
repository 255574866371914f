import { keepHere, readHere } from '../log/keep-here'

const LAST = 'eldrin-last-job'
const OPENED = 'eldrin-opened'

/** The job that was open last on this device; `null` where none was. */
export const lastJob = (): string | null => readHere(LAST)

/** Remembers that a job was opened on this device. */
export function keepOpened(jobId: string, atMs: number): void {
  keepHere(LAST, jobId)
  keepHere(OPENED, JSON.stringify({ ...openedAt(), [jobId]: atMs }))
}

/** Job → when it was opened last on this device, ms since 1970. */
export function openedAt(): Record<string, number> {
  try {
    return (JSON.parse(readHere(OPENED) ?? '{}') as Record<string, number> | null) ?? {}
  } catch {
    return {}
  }
}

/** Counts jobs of which nobody knows when they were opened as opened at this moment. */
export function countAsOpened(jobIds: string[], atMs: number): void {
  const known = openedAt()
  const unknown = jobIds.filter(jobId => known[jobId] === undefined)
  if (unknown.length > 0)
    keepHere(OPENED, JSON.stringify({ ...known, ...Object.fromEntries(unknown.map(jobId => [jobId, atMs])) }))
}

/** Forgets when jobs were opened. */
export function forgetOpened(jobIds: string[]): void {
  const left = Object.entries(openedAt()).filter(([jobId]) => !jobIds.includes(jobId))
  keepHere(OPENED, JSON.stringify(Object.fromEntries(left)))
}
