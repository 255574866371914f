/**
 * The browser's back closes what is open instead of leaving the page.
 * @param isOpen whether there is something to close
 * @param close closes it
 */
export function useBackCloses(isOpen: () => boolean, close: () => void) {
  const router = useRouter()
  let wentBack = false
  const stops = [
    router.options.history.listen((_to, _from, { direction }) => {
      wentBack = direction === 'back'
    }),
    router.beforeEach(() => {
      const back = wentBack
      wentBack = false
      if (!back || !isOpen()) return true
      close()
      return false
    }),
  ]
  onScopeDispose(() => stops.forEach(stop => stop()))
}
