import { mirrorLink, mirrorOperation } from './mirror'
import type { When } from '../pack/kinds'
import type { Link, LinkSource, Operation } from '../pack/operations'
import type { Pack } from '../pack/pack'
import { writtenBefore } from './written-before'

/** A step as it is written, with what follows from it whatever else is chosen. */
interface WrittenStep {
  when: When
  step: Operation
  /** Its mirror, and the link from one to the other. */
  refit: Operation | null
  refitLink: Link | null
  /** The link to another step that undoes it. */
  undoneLink: Link | null
}

interface WrittenLink {
  when: When
  plain: Link
  mirrored: Link | null
}

export interface WrittenWork {
  steps: WrittenStep[]
  links: WrittenLink[]
  /** Which steps the pack writes before one. */
  earlier: (step: string) => Set<string>
}

/** A pack does not change; it is expanded once for every way that is weighed. */
const known = new WeakMap<Pack, WrittenWork>()

/** What a pack's steps and links are made into whatever is chosen, worked out once for a pack. */
export function writtenWork(pack: Pack): WrittenWork {
  const ready = known.get(pack)
  if (ready) return ready
  const earlier = writtenBefore(pack)
  const found = new Map<string, Set<string>>()
  const written: WrittenWork = {
    steps: pack.modules.flatMap(module =>
      module.operations.map(source => {
        const { when, refit: undoing, ...rest } = source
        const refit = mirrorOperation(source, module.id)
        return {
          when,
          step: { ...rest, module: module.id },
          refit,
          refitLink: refit && offBeforeBack(refit),
          undoneLink: undoing.kind === 'by' ? undoneByAnother(source.id, undoing.operation) : null,
        }
      }),
    ),
    links: [...pack.modules.flatMap(module => module.links), ...pack.links].map(link => ({
      when: link.when,
      plain: plainLink(link),
      mirrored: link.mirror ? mirrorLink(link) : null,
    })),
    earlier: step => {
      const before = found.get(step) ?? earlier(step)
      found.set(step, before)
      return before
    },
  }
  known.set(pack, written)
  return written
}

function plainLink(source: LinkSource): Link {
  const { before, after, kind, because, school, atOnce } = source
  return {
    before,
    after,
    kind,
    because,
    waitMinutes: source.waitMinutes ?? 0,
    ...(atOnce ? { atOnce } : {}),
    ...(school ? { school } : {}),
  }
}

function offBeforeBack(operation: Operation): Link {
  return {
    before: operation.undoes!,
    after: operation.id,
    kind: 'physical',
    because: 'It has to come off before it can go back.',
    waitMinutes: 0,
  }
}

function undoneByAnother(id: string, other: string): Link {
  return {
    before: id,
    after: other,
    kind: 'physical',
    because: 'The later step puts back what this one took off.',
    waitMinutes: 0,
  }
}
