import { describe, expect, it } from 'vitest'
import { packs, physics } from '../../core'
import { seededRandom } from '../../core/base/random'
import { someOrder } from '../support/any-order'
import { everyChoice, pairwise } from '../support/pairwise'
import { shelf } from '../support/packs'

/** Orders drawn for each choice of options; `npm run prove:physics` draws two hundred for every pair. */
const isLong = process.env.ELDRIN_LONG !== undefined
const ORDERS = isLong ? 200 : 40

const layouts = [...shelf.packs.values()]
const ids = (operations: packs.Operation[]) => operations.map(({ id }) => id)
const told = (breaches: physics.Breach[]) => breaches.map(({ step, because }) => `${step}: ${because}`)

describe.each(layouts.map(pack => [pack.id, pack] as const))('%s', (_, pack) => {
  it('holds what is heavy, and keeps its height, in whatever order its links allow', () => {
    const pick = seededRandom(11)
    for (const { options } of (isLong ? pairwise : everyChoice)(pack)) {
      const procedure = packs.expandPack(pack, options)
      for (let count = 0; count < ORDERS; count++) {
        const order = someOrder(procedure, pick)
        expect(order).toHaveLength(procedure.operations.length)
        expect(told(physics.simulate(procedure, ids(order))), JSON.stringify(options)).toEqual([])
      }
    }
  })
  it('is told by the simulation where a prop is forgotten', () => {
    const procedure = packs.expandPack(pack)
    for (const { id: load, heldBy } of procedure.loads ?? []) {
      const props = heldBy.flatMap(({ prop }) => prop ?? [])
      const without = procedure.operations.filter(({ takesOff }) => !props.some(prop => takesOff[prop]))
      expect(physics.simulate(procedure, ids(without)), load).toContainEqual(
        expect.objectContaining({ rule: 'held', what: load }),
      )
    }
  })
})

/** A choice under which something stands on the floor, where the layout has one. */
const below = (pack: packs.Pack) =>
  packs.expandPack(pack, pack.options.some(({ id }) => id === 'engine-hold') ? { 'engine-hold': 'below' } : {})
const ofTheFloor = ({ because }: packs.Link) => because.includes('stands on the floor')

it.each(layouts.map(pack => [pack.id, below(pack)] as const).filter(([, { links }]) => links.some(ofTheFloor)))(
  '%s: the simulation tells where what follows from a foot on the floor is left out',
  (_, procedure) => {
    const pick = seededRandom(13)
    const unlinked = { ...procedure, links: procedure.links.filter(link => !ofTheFloor(link)) }
    const found = Array.from({ length: 20 }, () => physics.simulate(procedure, ids(someOrder(unlinked, pick))))
    expect(found.flat().map(({ rule }) => rule)).toContain('height')
  },
)

/** Whether one step comes after another in every order that the links allow. */
function comesAfter({ links }: packs.Procedure, late: string, early: string): boolean {
  const open = [late]
  const seen = new Set(open)
  for (let id = open.pop(); id !== undefined; id = open.pop())
    for (const { before } of links.filter(({ after }) => after === id))
      if (!seen.has(before)) {
        seen.add(before)
        open.push(before)
      }
  return seen.has(early)
}

describe('what a master found amiss. Common practice, no source', () => {
  const front = shelf.packs.get('fwd-transverse')!
  it.each([
    ['the jack leaves when every bell bolt is at its figure', front, {}, 'box-jack-under.refit', 'bell-torqued'],
    ['on a lift, when all are that can be reached', front, { lift: 'lift' }, 'box-jack-under.refit', 'side-bolts-set'],
    [
      'a support that stands on the floor leaves before a lift comes down for the upper bolts',
      front,
      { lift: 'lift', 'engine-hold': 'below' },
      'upper-bell-bolts.refit',
      'hold-engine-below.refit',
    ],
    [
      'the lowest bell bolts go in before the subframe is in their way',
      shelf.packs.get('fwd-subframe')!,
      {},
      'subframe-down.refit',
      'lowest-bell-bolts.refit',
    ],
    [
      'the lever comes out before anything stands under the engine',
      shelf.packs.get('rwd-longitudinal')!,
      {},
      'hold-engine',
      'shifter-out',
    ],
    [
      'the case hangs on its nuts before the mounts settle',
      shelf.packs.get('4x4-transfer')!,
      {},
      'mounts-final',
      'box-jack-under.refit',
    ],
  ] as const)('%s', (_, pack, options, late, early) => {
    expect(comesAfter(packs.expandPack(pack, options), late, early)).toBe(true)
  })
  it('a starter on its cables is untied to be bolted, and nothing comes between', () => {
    const { links } = packs.expandPack(front, { starter: 'aside' })
    expect(links).toContainEqual(
      expect.objectContaining({ before: 'starter-tied.refit', after: 'starter-out.refit', atOnce: true }),
    )
  })
})
