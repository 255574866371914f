import type { FoundLine } from '../../../contracts/answers'
import { render, termsWith } from '../../../core/say'
import { readerOf } from '../../reader'
import { Refused } from '../../refused'
import { SEARCHES, takeOwnTry } from '../../who/limits'

/** Jobs by their words: either word of a term finds it, and it is read in the garage's own. */
export default defineRoute('see-customers', async (event): Promise<FoundLine[]> => {
  await takeOwnTry(event, SEARCHES)
  const text = String(getQuery(event).q ?? '')
  if (text.length > 200) throw new Refused(400, [{ path: 'q', reason: 'At most 200 characters.' }])
  const store = useStore(garageOf(event))
  const { terms } = useShelf()
  const [settings, found] = await Promise.all([
    store.garage.settings(),
    store.words.find(text, (word, whole) => termsWith(word, terms, whole)),
  ])
  // A cut may fall into a token.
  return found.map(({ summary, snippet }) => ({
    summary,
    snippet: render(snippet, readerOf(settings, terms)).replaceAll(/[{}]/g, ''),
  }))
})
