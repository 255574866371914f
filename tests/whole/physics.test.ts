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
  it('is told by the simulation where a wash is forgotten', () => {
    const procedure = packs.expandPack(pack)
    for (const { id: surface } of procedure.surfaces ?? []) {
      const without = procedure.operations.filter(({ washes }) => !washes?.includes(surface))
      const wanted = procedure.operations.some(({ soils }) => soils?.includes(surface))
      expect(
        physics.simulate(procedure, ids(without)).some(({ what }) => what === surface),
        surface,
      ).toBe(wanted)
    }
  })
})

it('is told by the simulation where the rag of a bore that is open beside the scraping is forgotten', () => {
  const procedure = packs.expandPack(shelf.packs.get('rwd-longitudinal')!, {
    'crank-seal': 'renewed',
    'cam-plug': 'renewed',
  })
  const order = ids(procedure.operations)
  const early = ['cam-plug-out', ...order.filter(id => id !== 'cam-plug-out')]
  expect(physics.simulate(procedure, early).filter(({ rule }) => rule === 'shut')).toEqual([])
  const bare = { ...procedure, items: procedure.items.map(({ covers: _, ...item }) => item) }
  expect(physics.simulate(bare, early)).toContainEqual(expect.objectContaining({ rule: 'shut', what: 'cam-plug-seat' }))
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
  const rear = shelf.packs.get('rwd-longitudinal')!
  const swap = shelf.packs.get('manual-swap')!
  const classic = shelf.packs.get('classic-rwd')!
  const tight = shelf.packs.get('fwd-subframe')!
  const BELOW = { 'engine-hold': 'below' }
  const FILLED = { slave: 'opened', bleed: 'pre-filled' }
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
      tight,
      {},
      'subframe-down.refit',
      'lowest-bell-bolts.refit',
    ],
    ['a support under the sump stands where the subframe was', tight, BELOW, 'hold-engine-below', 'subframe-down'],
    ['and has left when that goes up', tight, BELOW, 'subframe-down.refit', 'hold-engine-below.refit'],
    ['both upper mounts carry until it stands', tight, BELOW, 'gearbox-mount-off', 'hold-engine-below'],
    ['from above the engine is held before the stabiliser goes', tight, {}, 'stabiliser-off', 'hold-engine'],
    ['and until it is back', tight, {}, 'hold-engine.refit', 'stabiliser-off.refit'],
    ['from below as well, where the subframe stays', front, BELOW, 'stabiliser-off', 'hold-engine-below'],
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
      'case-jack-away',
    ],
    ['the dust of the bell is wet before the lock is set', rear, {}, 'flywheel-locked', 'wet-bell'],
    ['the dust of the box’s bell is wet before the fork is unclipped', rear, {}, 'release-bearing-off', 'box-bell-wet'],
    ['the face is washed when the pilot is driven', rear, {}, 'face-washed', 'pilot-in'],
    ['a new flywheel is washed before the disc', rear, { flywheel: 'new' }, 'disc-set', 'face-washed'],
    ['so is a machined one, hands off it', rear, { flywheel: 'machined' }, 'face-washed', 'flywheel-tighten'],
    ['the floor is cut before the crank seal is out', swap, { floor: 'cut' }, 'crank-seal-out', 'floor-cut'],
    ['the pedal box goes in while the car is down for the old one', swap, {}, 'hold-engine', 'pedal-box-in'],
    ['the bulkhead is drilled before it is', swap, { slave: 'opened' }, 'crank-seal-out', 'bulkhead-drilled'],
    ['and bored for a cable', swap, { slave: 'linkage' }, 'crank-seal-out', 'bulkhead-bored'],
    [
      'dowels are brushed before the crank seal is out',
      rear,
      { 'crank-seal': 'renewed' },
      'crank-seal-out',
      'dowels-clean',
    ],
    ['the last bell bolts are cracked while the mount holds', rear, {}, 'rear-mount-off', 'last-bolts-cracked'],
    ['on front drive as well', front, {}, 'gearbox-mount-off', 'last-bolts-cracked'],
    ['with the engine held', rear, {}, 'last-bolts-cracked', 'hold-engine'],
    ['and on front drive', front, {}, 'last-bolts-cracked', 'hold-engine'],
    ['a hub nut is set on a wheel that is tight', front, {}, 'torque-hub-nut', 'torque-wheels'],
    ['and both are', front, { 'far-shaft': 'out' }, 'torque-hub-nuts', 'torque-wheels'],
    ['a filled set hangs on the pedal before its first stroke', rear, FILLED, 'bleed-filled', 'set-rod-off.refit'],
    ['and its feed is on', rear, FILLED, 'bleed-filled', 'set-line-freed.refit'],
    ['both before the engine runs', rear, FILLED, 'ready-to-run', 'set-rod-off.refit'],
    ['the fan has its shroud before the battery is on', rear, {}, 'battery-off.refit', 'shroud-free.refit'],
    ['the last sensor is in before the battery is on', rear, {}, 'battery-off.refit', 'exhaust-sensors-out.refit'],
    ['an old car is photographed before its box is touched', classic, {}, 'prop-marked', 'photographs-taken'],
  ] as const)('%s', (_, pack, options, late, early) => {
    expect(comesAfter(packs.expandPack(pack, options), late, early)).toBe(true)
  })
  it('upper bell bolts are cracked with the car on the ground', () => {
    for (const pack of [rear, swap, classic])
      expect(packs.expandPack(pack).operations.find(({ id }) => id === 'upper-bolts-cracked')).toMatchObject({
        car: 'ground',
      })
  })
  it('a filled set begins at the pedal, goes on above and ends at the slave', () => {
    const { operations } = packs.expandPack(rear, FILLED)
    const placeOf = (step: string) => operations.find(({ id }) => id === step)?.place
    expect(['set-rod-off', 'set-line-freed', 'filled-set-out'].map(placeOf)).toEqual(['cab', 'top', 'under'])
  })
  it('the hub nut of a shaft that stays in its hub is not touched', () => {
    const { operations } = packs.expandPack(front, { 'far-shaft': 'aside' })
    const nuts = operations.flatMap(({ takesOff }) => [takesOff['hub-nuts-slack'] ?? 0, takesOff['hub-nut'] ?? 0])
    expect(Math.max(...nuts)).toBe(1)
    expect(operations.filter(({ title }) => /both hub nuts/.test(title))).toEqual([])
  })
  it.each([front, tight])('$id: unbolted inner joints leave the oil where it is', pack => {
    const ofOil = (choice: string) =>
      ids(packs.expandPack(pack, { 'inner-joint': choice }).operations).filter(id => /drain|oil|fill-|level/.test(id))
    expect(ofOil('unbolted')).toEqual([])
    expect(ofOil('unbolted-drained')).toEqual(ofOil('pulled'))
  })
  it('an unbolted box that is opened for its shaft is emptied and filled again', () => {
    const procedure = packs.expandPack(front, { 'inner-joint': 'unbolted', 'input-shaft': 'renewed' })
    expect(comesAfter(procedure, 'box-to-shop', 'box-emptied')).toBe(true)
    expect(comesAfter(procedure, 'pull-box.refit', 'box-filled')).toBe(true)
  })
  it('wheels stay on where nothing is behind them', () => {
    const wheels = (options: Record<string, string>) =>
      ids(packs.expandPack(front, options).operations).filter(id => /wheel(s-off|-bolts)|-wheels/.test(id))
    expect(wheels({ 'inner-joint': 'unbolted' })).toEqual([])
    const all = wheels({ 'inner-joint': 'pulled' })
    expect(all).toHaveLength(4)
    expect(wheels({ 'inner-joint': 'unbolted', subframe: 'lowered' })).toEqual(all)
  })
  it('free play is set when the line has rested', () => {
    const { links } = packs.expandPack(shelf.packs.get('rwd-concentric')!)
    expect(links).toContainEqual(
      expect.objectContaining({ before: 'bleed-clutch', after: 'pedal-set', waitMinutes: 60 }),
    )
  })
  it('nobody rocks a car that stands on tall stands under a lift', () => {
    const { operations } = packs.expandPack(swap, { lift: 'lift' })
    expect(operations.filter(({ id }) => id.startsWith('axle-carried')).map(({ title }) => title)).toEqual([
      expect.stringContaining('nobody rocks'),
      expect.stringContaining('arms locked'),
    ])
  })
  it('a car whose level was read stays at its height until it is filled', () => {
    const procedure = packs.expandPack(rear, { lift: 'lift' })
    const pick = seededRandom(17)
    for (let count = 0; count < 40; count++) {
      const order = someOrder(procedure, pick)
      const at = (id: string) => order.findIndex(step => step.id === id)
      expect(order.slice(at('level-read'), at('fill-box')).map(({ car }) => car)).not.toContain('ground')
    }
  })
  it('a starter on its cables is untied to be bolted, and nothing comes between', () => {
    const { links } = packs.expandPack(front, { starter: 'aside' })
    expect(links).toContainEqual(
      expect.objectContaining({ before: 'starter-tied.refit', after: 'starter-out.refit', atOnce: true }),
    )
  })
})
