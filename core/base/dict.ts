/**
 * An empty map from text to something, without a prototype: whatever text somebody sends as a key, it is a key and nothing else.
 * On a plain object `__proto__` would change every object there is, and `constructor` would seem to be in it.
 */
export function dict<T>(): Record<string, T> {
  return Object.create(null) as Record<string, T>
}

/** A map without a prototype that holds what another holds. */
export function dictOf<T>(entries: Record<string, T>): Record<string, T> {
  return Object.assign(dict<T>(), entries)
}
