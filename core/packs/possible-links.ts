import { both } from './applies'
import { factLinks } from './fact-links'
import { mirrorLink, mirrorOperation } from './mirror'
import { physicalThings, physicsLinks } from './physics-links'
import { writtenWork } from './written-work'
import { EITHER_POSITION } from '../pack/kinds'
import type { When } from '../pack/kinds'
import type { Operation } from '../pack/operations'
import type { Pack } from '../pack/pack'

/** An operation of strip or refit with the choices under which it is there. */
export interface PossibleOperation {
  operation: Operation
  when: When
}
/** A link with the choices under which it holds. */
export interface PossibleLink {
  before: string
  after: string
  when: When
}

/** Every operation that some choice brings about. */
export function possibleOperations(pack: Pack): PossibleOperation[] {
  return pack.modules.flatMap(module =>
    module.operations.flatMap((source): PossibleOperation[] => {
      const { when, refit: _refit, ...rest } = source
      const refit = mirrorOperation(source, module.id)
      return [{ operation: { ...rest, module: module.id }, when }, ...(refit ? [{ operation: refit, when }] : [])]
    }),
  )
}

/**
 * Every link that some choice brings about, whatever the others: those written, their mirrors, those of facts,
 * and "off before back". Where the height of the car depends on a choice, each height counts.
 */
export function possibleLinks(pack: Pack, operations: PossibleOperation[]): PossibleLink[] {
  const whenOf = new Map(operations.map(({ operation, when }) => [operation.id, when]))
  const atHeights = operations.flatMap(({ operation }) =>
    operation.car !== EITHER_POSITION
      ? [operation]
      : [
          operation,
          ...pack.reach
            .filter(reach => reach.place === operation.place)
            .map(reach => ({ ...operation, car: reach.car })),
        ],
  )
  const written = [...pack.modules.flatMap(module => module.links), ...pack.links]
  const undoing = pack.modules.flatMap(module =>
    module.operations.flatMap(({ id, refit }) =>
      refit.kind === 'by' ? [{ before: id, after: refit.operation, when: [] }] : [],
    ),
  )
  const links: PossibleLink[] = [
    ...written.flatMap(link => (link.mirror ? [link, { ...mirrorLink(link), when: link.when }] : [link])),
    ...operations.flatMap(({ operation }) =>
      operation.undoes ? [{ before: operation.undoes, after: operation.id, when: [] }] : [],
    ),
    ...undoing,
    ...pack.modules
      .flatMap(module => module.facts)
      .flatMap(fact => factLinks(fact, atHeights, writtenWork(pack).earlier))
      .map(link => ({ ...link, when: [] })),
    ...physicsLinks(physicalThings(pack), atHeights, writtenWork(pack).earlier).map(link => ({ ...link, when: [] })),
  ]
  return links.flatMap(({ before, after, when }) => {
    const [a, b] = [whenOf.get(before), whenOf.get(after)]
    return a === undefined || b === undefined || before === after
      ? []
      : [{ before, after, when: both(when, both(a, b)) }]
  })
}
