import type { Sheet } from '../../core/packs'

/** The sheet that the address names, where this job has it. @param wanted which sheets may be shown there */
export function useSheetAsked(wanted: (sheet: Sheet) => boolean) {
  const { state } = useJob()
  const route = useRoute()
  const sheet = computed(
    () => state.value.procedure?.bench.sheets.find(entry => entry.id === route.params.sheet && wanted(entry)) ?? null,
  )
  return { sheet }
}
