import { renderTerms } from '../../core/packs/terms'

/** Puts the garage's trade words in place of term tokens. */
export function useTerms() {
  const store = useGarageStore()
  return (text: string) => store.garage ? renderTerms(text, store.garage.terms, store.garage.words) : text
}
