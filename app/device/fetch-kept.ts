import { FetchError } from 'ofetch'
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
    await keep.keepAnswer(address, { body, at: new Date().toISOString() })
    return body as T
  } catch (error) {
    if (isOfTheServer(error)) throw error
    const kept = await keep.answer(address).catch(() => null)
    if (!kept) throw error
    return kept.body as T
  }
}

/** What the server answered last at an address, as far as this device keeps it; `null` where it never did. */
export async function keptAnswer<T extends object>(address: string): Promise<T | null> {
  const keep = await thisKeep()
  return ((await keep.answer(address).catch(() => null))?.body as T | undefined) ?? null
}

/** Whether the server itself said no: in words, with the place and the reason. */
export function isOfTheServer(error: unknown): boolean {
  const { statusCode = 0, data } = error instanceof FetchError ? error : {}
  return statusCode >= 400 && statusCode < 500 && Array.isArray((data as { data?: { issues?: unknown } })?.data?.issues)
}
