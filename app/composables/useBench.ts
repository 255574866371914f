import { judgeSheet } from '../../core/bench'
import type { SheetVerdict } from '../../core/bench'
import type { Sheet } from '../../core/packs'

/** The bench of the open job: its sheets with what each says. */
export function useBench() {
  const { store, state, path } = useJob()
  const bench = computed(() => state.value.procedure!.bench)
  const verdicts = computed(
    () =>
      new Map(
        bench.value.sheets.map((sheet): [string, SheetVerdict] => [
          sheet.id,
          judgeSheet(sheet, state.value.sheets[sheet.id]?.values ?? {}),
        ]),
      ),
  )
  /** Parts that a sheet found bad, and by which sheets. */
  const found = computed(() => {
    const byPart = new Map<string, string[]>()
    for (const sheet of bench.value.sheets)
      for (const part of verdicts.value.get(sheet.id)!.renews)
        byPart.set(part, [...(byPart.get(part) ?? []), sheet.title])
    return byPart
  })
  const started = (sheet: Sheet) => state.value.sheets[sheet.id] !== undefined
  return { store, state, path, bench, verdicts, found, started }
}
