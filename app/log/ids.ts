import { v4 } from 'uuid'
import { keepHere, readHere } from './keep-here'

/** A new id for an event or a thing. Works also where the page is not served over TLS. */
export const newId = (): string => v4()

/** What nobody can guess: 256 bits, in the letters of base64url. */
export function newToken(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(32))
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/, '')
}

const DEVICE_KEY = 'eldrin-device'

/** The id of this device, made at the first use and kept. */
export function deviceId(): string {
  const known = readHere(DEVICE_KEY)
  if (known) return known
  const fresh = newId()
  keepHere(DEVICE_KEY, fresh)
  return fresh
}
