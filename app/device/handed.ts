import { FetchError } from 'ofetch'
import type { GarageAnswer } from '../../contracts/answers'
import { keepHere, readHere } from '../log/keep-here'
import { isOfTheServer } from './fetch-kept'

/** Nobody waits longer for a server that does not answer. */
const PATIENCE_MS = 8_000
/** Answers that say nothing of who took it over: sign in first, and too many tries. */
const ASKED_AGAIN = new Set([401, 429])

/** Who took this device over without signal, until the server knows. */
export const HANDED_KEY = 'eldrin-handed'
export const handed = (): string => readHere(HANDED_KEY) ?? ''

/** What the server says of who works here, by what it does not know yet. */
export function withHanded(answer: GarageAnswer): GarageAnswer {
  const person = answer.people.find(({ id }) => id === handed())
  return person && answer.me?.device
    ? { ...answer, me: { ...answer.me, personId: person.id, role: person.role } }
    : answer
}

/** Tells the server who took this device over. @returns whether it knows: nothing of theirs may come before */
export async function sayHanded(): Promise<boolean> {
  const personId = handed()
  if (!personId) return true
  try {
    await $fetch('/api/session/person', { method: 'POST', body: { personId }, timeout: PATIENCE_MS })
  } catch (error) {
    const { statusCode = 0 } = error instanceof FetchError ? error : {}
    // Who may not have the device any more is told so act by act; one that is not signed in, or asks too often, says it again later.
    if (!isOfTheServer(error) || ASKED_AGAIN.has(statusCode)) return false
  }
  keepHere(HANDED_KEY, '')
  return true
}
