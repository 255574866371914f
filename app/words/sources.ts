import { sourceLabels } from '../../contracts/words'
import type { SourceKind } from '../../core/fasteners'

export { sourceLabels }

export const sourceLabel = (kind: SourceKind): string => sourceLabels.find(entry => entry.id === kind)!.label
