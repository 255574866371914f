import { FetchError } from 'ofetch'
import { NOT_UNDERSTOOD } from '../../contracts/version'
import { nowIso } from './clock'
import { thisKeep } from './open-keep'

/** Nobody waits longer for an answer that the device has in its last form. */
const PATIENCE_MS = 8_000

/**
 * Asks the server, and keeps its answer on the device; where it does not answer, or somebody in between does, gives what it answered last.
 * @throws what the server itself refuses, and that nobody answered where nothing is kept
 */
export async function fetchKept<T extends object>(address: string): Promise<T> {
  const keep = await thisKeep()
  try {
    const body: unknown = await $fetch<unknown>(address, { timeout: PATIENCE_MS })
    // A page where data is wanted is of somebody in between.
    if (typeof body !== 'object' || body === null) throw new TypeError('That was no answer of the server.')
    await keepAnswer(address, body)
    return body as T
  } catch (error) {
    if (isOfTheServer(error)) throw error
    const kept = await keep.answer(address).catch(() => null)
    if (!kept) throw error
    return kept.body as T
  }
}

/** Keeps what the server answered at an address, for when it does not. */
export async function keepAnswer(address: string, body: unknown): Promise<void> {
  await (await thisKeep()).keepAnswer(address, { body, at: nowIso() })
}

/** What the server answered last at an address, as far as this device keeps it; `null` where it never did. */
export async function keptAnswer<T extends object>(address: string): Promise<T | null> {
  return (await keptWithTime<T>(address))?.body ?? null
}

/** The same with the moment it was answered at, ISO 8601. */
export async function keptWithTime<T extends object>(address: string): Promise<{ body: T; at: string } | null> {
  const keep = await thisKeep()
  return (await keep.answer(address).catch(() => null)) as { body: T; at: string } | null
}

/** Whether the server itself said no: in words, with the place and the reason. */
export function isOfTheServer(error: unknown): boolean {
  const { statusCode = 0, data } = error instanceof FetchError ? error : {}
  if (statusCode === NOT_UNDERSTOOD) return false
  return statusCode >= 400 && statusCode < 500 && Array.isArray((data as { data?: { issues?: unknown } })?.data?.issues)
}
