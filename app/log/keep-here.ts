import { ref } from 'vue'

/** Why this device keeps nothing, as a sentence; empty while it does. */
export const keepsNothing = ref('')

const FULL =
  'This device’s store is full: what is done and chosen here from now on is lost when the page closes before it is sent.'
const FORBIDDEN =
  'This browser forbids Eldrin to keep anything on this device: what is done and chosen here is lost when the page closes before it is sent.'

/** What could not be kept stands here as long as the page is open. */
const forNow = new Map<string, string | null>()

/** What was kept on this device under a name; `null` where nothing was. */
export function readHere(name: string): string | null {
  if (forNow.has(name)) return forNow.get(name)!
  try {
    return localStorage.getItem(name)
  } catch {
    keepsNothing.value = FORBIDDEN
    return null
  }
}

/** Keeps something on this device, or forgets it for `null`. Where that cannot be done it holds while the page is open, and the page says so. */
export function keepHere(name: string, value: string | null): void {
  try {
    if (value === null) localStorage.removeItem(name)
    else localStorage.setItem(name, value)
    forNow.delete(name)
  } catch (error) {
    forNow.set(name, value)
    cannotKeep(error as Error)
  }
}

/** Says why this device keeps nothing. */
export function cannotKeep(error: Error): void {
  keepsNothing.value = error.name === 'QuotaExceededError' ? FULL : FORBIDDEN
}
