const QUIET_AFTER_MS = 3000

/** Fetches what may be wanted later, once the page stands and the line is quiet, so that it is there without signal too. */
export function useFetchedAhead(fetchAll: () => Promise<unknown>[]) {
  const timer = setTimeout(() => void Promise.allSettled(fetchAll()), QUIET_AFTER_MS)
  onScopeDispose(() => clearTimeout(timer))
}
