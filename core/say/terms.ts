/** Which trade's words are used: the same word can mean another part on the other side of the sea. */
export type TradeWords = 'us' | 'uk'

/** A term with its word in either trade; `many` only where adding an s is wrong. */
export type TermTable = Record<string, Record<TradeWords, { one: string; many?: string }>>

const TOKEN = /\{([A-Za-z][A-Za-z-]*)(:many)?\}/g

function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1)
}

/**
 * Puts the trade's own words in place of term tokens.
 * `{transmission}` gives the word, `{transmission:many}` its plural, `{Transmission}` starts with a capital.
 * A token that the table does not hold is left as it stands; `unknownTokens` finds those beforehand.
 */
export function renderTerms(text: string, table: TermTable, words: TradeWords): string {
  return text.replace(TOKEN, (token, name: string, many?: string) => {
    const term = table[name.toLowerCase()]?.[words]
    if (!term) return token
    const word = many ? (term.many ?? `${term.one}s`) : term.one
    return /^[A-Z]/.test(name) ? capital(word) : word
  })
}

/** Tokens in a text that the table does not know. */
export function unknownTokens(text: string, table: TermTable): string[] {
  return [...text.matchAll(TOKEN)].map(match => match[1]!).filter(name => !(name.toLowerCase() in table))
}

/** Names of the terms that one school or the other writes with a word. @param word as it is typed @param whole whether more of it may follow */
export function termsWith(word: string, table: TermTable, whole = true): string[] {
  const typed = word.toLowerCase()
  const holds = (written: string | undefined) =>
    (written ?? '')
      .toLowerCase()
      .split(/[^\p{L}\p{N}]+/u)
      .some(part => (whole ? part === typed : part.startsWith(typed)))
  return Object.keys(table).filter(name =>
    [table[name]!.us, table[name]!.uk].some(term => holds(term.one) || holds(term.many) || holds(`${term.one}s`)),
  )
}
