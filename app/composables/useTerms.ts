import { plain, render } from '../../core/say'

/** A figure and its unit stay on one line. */
const NO_BREAK = '\u00a0'

/** Renders a sentence of the core or of a layout in the garage's words and units. */
export function useTerms() {
  const store = useGarageStore()
  return (text: string) => (store.garage ? render(text, store.garage, NO_BREAK) : plain(text))
}
