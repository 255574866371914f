import { holdVersion } from '../device/shell'

/** As long as something is under way that cannot begin anew in the middle, no new version takes over. */
export function useRunUnderWay(isUnderWay: () => boolean) {
  let letGo: (() => void) | null = null
  watch(
    isUnderWay,
    underWay => {
      letGo?.()
      letGo = underWay ? holdVersion() : null
    },
    { immediate: true },
  )
  onScopeDispose(() => letGo?.())
}
