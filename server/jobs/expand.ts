import type { Pack } from '../../core/packs'
import { expandPack, PackError } from '../../core/packs'
import { Refused } from '../refused'

/** @throws Refused on an option that the layout does not have */
export function expandOrRefuse(pack: Pack, options: Record<string, string>) {
  try {
    return expandPack(pack, options)
  } catch (error) {
    if (error instanceof PackError) throw new Refused(422, [{ path: error.path, reason: error.reason }])
    throw error
  }
}

/** The garage's own choices for those options of a pack on which trades people disagree. */
export function schoolsOf(pack: Pack, schools: Record<string, string>): Record<string, string> {
  return Object.fromEntries(
    pack.options.flatMap(option =>
      option.school && option.choices.some(choice => choice.id === schools[option.id])
        ? [[option.id, schools[option.id]!]]
        : [],
    ),
  )
}
