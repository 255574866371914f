import { mirrorLink, refitId } from './mirror'
import type { Pack } from '../pack/pack'

/**
 * Which steps are written to come before one, whatever is chosen: along the links of a pack and their mirrors, off before back, undone before
 * undoing. What facts imply is not among it.
 * @returns step → every step before it
 */
export function writtenBefore(pack: Pick<Pack, 'modules' | 'links'>): (step: string) => Set<string> {
  const before = new Map<string, string[]>()
  const note = (earlier: string, later: string) => {
    const known = before.get(later)
    if (known) known.push(earlier)
    else before.set(later, [earlier])
  }
  for (const link of [...pack.modules.flatMap(module => module.links), ...pack.links]) {
    note(link.before, link.after)
    if (link.mirror) {
      const mirrored = mirrorLink(link)
      note(mirrored.before, mirrored.after)
    }
  }
  for (const { id, refit } of pack.modules.flatMap(module => module.operations)) {
    if (refit.kind === 'by') note(id, refit.operation)
    if (refit.kind === 'mirror') note(id, refitId(id))
  }
  return step => {
    const found = new Set<string>()
    const open = [step]
    for (let next = open.pop(); next !== undefined; next = open.pop())
      for (const earlier of before.get(next) ?? [])
        if (!found.has(earlier)) {
          found.add(earlier)
          open.push(earlier)
        }
    return found
  }
}
