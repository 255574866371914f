import type { Issue } from '../../contracts/answers'

/** What an answer says of whether this device is let in. */
interface Answered {
  status: number
  /** The body, where it was read. */
  _data?: unknown
}

/** Hears from an answer whether this device is signed in; one that was reported lost throws away what it has kept. */
export function hearLetIn(garage: { signedOut: boolean }, { status, _data }: Answered): void {
  if (status !== 401) return
  garage.signedOut = true
  const { issues = [] } = (_data as { data?: { issues?: Issue[] } } | undefined)?.data ?? {}
  if (issues.some(issue => issue.path === 'wipe')) void import('./wipe').then(({ wipe }) => wipe())
}
