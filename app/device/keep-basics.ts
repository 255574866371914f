import type { PackLine } from '../../contracts/answers'
import { keepHere, readHere } from '../log/keep-here'
import { nowMs } from './clock'
import { fetchKept, isOfTheServer } from './fetch-kept'
import { countAsOpened, forgetOpened, openedAt } from './last-job'
import { thisKeep } from './open-keep'

/** The first load is over by then, and nobody waits for what is fetched. */
const QUIET_AFTER_MS = 6_000
const FRESH_MS = 3_600_000
const KEY = 'eldrin-basics-at'

/** Fetches what a day without signal needs, one thing after another, when nothing else is going on: cars, every layout, causes, wrenches, the Yard; and lets old jobs go. */
export function keepBasics(): void {
  if (Date.now() - Number(readHere(KEY) ?? 0) < FRESH_MS) return
  setTimeout(() => void fetchBasics().catch(() => {}), QUIET_AFTER_MS)
}

/** What is not for who works here is not kept here. @throws whatever else went wrong */
function orRefused(error: unknown): void {
  if (!isOfTheServer(error)) throw error
}

async function fetchBasics(): Promise<void> {
  const packs = await fetchKept<PackLine[]>('/api/packs')
  const addresses = ['/api/vehicles', '/api/causes', '/api/wrenches', '/api/jobs']
  for (const address of [...packs.filter(({ fault }) => !fault).map(({ id }) => `/api/packs/${id}`), ...addresses])
    await fetchKept(address).catch(orRefused)
  keepHere(KEY, String(Date.now()))
  const { letOldGo } = await import('./let-old-go')
  const keep = await thisKeep()
  countAsOpened(await keep.jobsRecorded(), nowMs())
  forgetOpened(await letOldGo(keep, openedAt(), nowMs()))
}
