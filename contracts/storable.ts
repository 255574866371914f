import type { Issue } from './answers'

/** What no record can hold: a zero sign, or half of a sign that is written in two. */
const UNSTORABLE = /\0|\p{Surrogate}/u

const reasonOf = (text: string) =>
  text.includes('\0') ? 'A zero sign cannot be kept.' : 'Half a sign stands in this text; it cannot be kept.'

/**
 * The first text in a value, key or entry, that the records cannot hold; `null` when all can be kept.
 * Walks without recursion, so that no depth of nesting stops it.
 */
export function unstorable(value: unknown): Issue | null {
  const left: { value: unknown; path: string }[] = [{ value, path: '' }]
  for (let next = left.pop(); next; next = left.pop()) {
    const { value: found, path } = next
    if (typeof found === 'string') {
      if (UNSTORABLE.test(found)) return { path, reason: reasonOf(found) }
    } else if (Array.isArray(found)) {
      for (let index = found.length - 1; index >= 0; index--)
        left.push({ value: found[index], path: `${path}[${index}]` })
    } else if (found !== null && typeof found === 'object') {
      for (const [key, entry] of Object.entries(found)) {
        if (UNSTORABLE.test(key)) return { path, reason: reasonOf(key) }
        left.push({ value: entry, path: path ? `${path}.${key}` : key })
      }
    }
  }
  return null
}
