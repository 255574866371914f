import { ref, watch } from 'vue'
import type { Entry } from '../../core/bench'

/** What a list of places shows and how what is typed there is read. */
export interface PlacesAsked {
  /** What the log holds. */
  entries: () => Entry[]
  /** Whether each place has a name: then a gap stays a gap. */
  isNamed: () => boolean
  least: () => number
  most: number
  show: (entry: Entry) => string
  read: (text: string) => Entry
}

/**
 * The texts of a list of places while they are typed. What was typed and is not in the log yet stays, whatever comes back of an earlier place.
 * @returns the texts, one empty place more than there are, and what is to be kept: `null` where that is in the log or on its way there
 */
export function usePlaces({ entries, isNamed, least, most, show, read }: PlacesAsked) {
  const texts = ref<string[]>([])
  /** What was given to be kept last, and how it was typed; `null` once the log has it. */
  let onItsWay: { entries: string; texts: string[] } | null = null
  let shown: string[] = []

  const padded = (list: string[]) =>
    Array.from({ length: Math.min(most, Math.max(least(), list.length + 1)) }, (_, index) => list[index] ?? '')

  watch(
    () => JSON.stringify([entries(), entries().map(show)]),
    () => {
      const kept = onItsWay?.texts ?? shown
      if (onItsWay && JSON.stringify(entries()) !== onItsWay.entries) return
      onItsWay = null
      shown = entries().map(show)
      const since = texts.value.map((text, index) => (text.trim() === (kept[index] ?? '') ? null : text))
      texts.value = padded(shown).map((text, index) => since[index] ?? text)
    },
    { immediate: true },
  )

  function toKeep(): Entry[] | null {
    const typed = texts.value.map(text => text.trim())
    const list = isNamed()
      ? typed.slice(0, typed.findLastIndex(text => text !== '') + 1)
      : typed.filter(text => text !== '')
    const before = entries()
    // What nobody touched stays as it was typed.
    const next = list.map((text, index) => (text === shown[index] && before[index] ? before[index] : read(text)))
    const [now, last] = [JSON.stringify(next), onItsWay?.entries ?? JSON.stringify(before)]
    if (now === last) return null
    if (!isNamed()) texts.value = padded(list)
    onItsWay = { entries: now, texts: list }
    return next
  }
  return { texts, toKeep }
}
