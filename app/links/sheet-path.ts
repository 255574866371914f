import type { Sheet } from '../../core/packs'

/** The view that a sheet stands in: what is worked has one of its own, all others lie on the bench. */
export const viewOf = ({ row }: Pick<Sheet, 'row'>): 'pedal' | 'control' | 'bench' =>
  row === 'pedal' || row === 'control' ? row : 'bench'

/** Where a sheet stands under its job. */
export const sheetPath = (sheet: Pick<Sheet, 'row' | 'id'>): string => `${viewOf(sheet)}/${sheet.id}`
