import { describe, expect, it } from 'vitest'
import { packs } from '../../core'
import { drawn } from '../support/drawn'
import { pairwise } from '../support/pairwise'
import { shelf } from '../support/packs'

/** What may be off, open or slack with the engine running and the car on its wheels. Common practice, no source. */
const MAY_BE_OFF = new Set([
  'undertray',
  'hood',
  'undertray-screws',
  'skid-plate',
  'skid-bolts',
  'console',
  'console-screws',
  'carpet',
  'shifter-boot',
  'arch-liner',
  'arch-clips',
  'auto-selector',
  'auto-linkage',
  'converter-cover',
  'converter-bolt',
  'wheel-lock',
  'steering-pinch-bolt',
  'steering-shaft-apart',
  'battery-hold-down',
  'old-cover-cage',
  'case-linkage',
  'case-switch',
  'cross-shaft',
])

/** Every step that must come before another, through any chain of links. */
function before(procedure: packs.Procedure): (stepId: string) => Set<string> {
  const into = new Map<string, string[]>()
  for (const { before: from, after } of procedure.links) into.set(after, [...(into.get(after) ?? []), from])
  const known = new Map<string, Set<string>>()
  return stepId => {
    const ready = known.get(stepId)
    if (ready) return ready
    const all = new Set<string>()
    const open = [stepId]
    for (let id = open.pop(); id !== undefined; id = open.pop()) {
      for (const from of into.get(id) ?? []) {
        if (all.has(from)) continue
        all.add(from)
        open.push(from)
      }
    }
    known.set(stepId, all)
    return all
  }
}

/** What would still be off, open or slack as the engine starts. */
function missingAtStart(procedure: packs.Procedure): string[] {
  const ahead = before(procedure)
  const ready = ahead('ready-to-run')
  /** Set up for the run itself, and taken away after it. */
  const isOfTheRun = (step: string | undefined) => step !== undefined && ahead(step).has('ready-to-run')
  return procedure.operations
    .filter(
      operation =>
        Object.keys(operation.putsBack).some(item => !MAY_BE_OFF.has(item)) &&
        !ready.has(operation.id) &&
        !isOfTheRun(operation.undoes),
    )
    .map(operation => operation.id)
}

/** Facts of the trade: common practice, no source. Each holds in every legal order, under options in which every two choices meet. */
describe.each([...shelf.packs.values()])('orders that hurt nobody: $id', pack => {
  const cases = pairwise(pack).map(({ options }) => {
    const procedure = packs.expandPack(pack, options)
    return {
      options: JSON.stringify(options),
      procedure,
      ahead: before(procedure),
      has: (id: string) => procedure.operations.some(operation => operation.id === id),
    }
  })

  // A layout has more combinations than can be walked: some hundreds here, many thousands in `npm run prove:orders`.
  it('the engine runs only with everything on that it needs, nothing open, nobody under it, under any combination of options', () => {
    const home = packs.homeOf(pack)
    for (const options of drawn(pack)) {
      const procedure = packs.expandPack(pack, options)
      const runs = procedure.operations.filter(operation => operation.needs.includes('can-run'))
      if (runs.length < 2 || runs.some(run => run.car !== home && !run.cautions.includes('running-above')))
        expect.fail(JSON.stringify(options))
      const missing = missingAtStart(procedure)
      if (missing.length > 0) expect.fail(`${missing.join(', ')} ${JSON.stringify(options)}`)
    }
  })
  it('every step that speaks of a running engine needs it to be able to run', () => {
    for (const { options, procedure } of cases) {
      const silent = procedure.operations.filter(
        operation =>
          operation.phase === 'prove' &&
          /engine running|drive it/i.test(operation.title) &&
          !operation.needs.includes('can-run'),
      )
      expect(
        silent.map(operation => operation.id),
        options,
      ).toEqual([])
    }
  })
  it('nothing is stripped before the last test with the car driven or heard', () => {
    for (const { options, procedure, ahead } of cases) {
      const tests = procedure.operations.filter(
        operation =>
          operation.phase === 'test' && /drive|listen|hear/i.test(operation.title) && operation.id !== 'told-before',
      )
      for (const test of tests) expect(test.whole, test.id).toBe(true)
      for (const test of procedure.operations.filter(operation => operation.whole)) {
        for (const strip of procedure.operations)
          if (['strip', 'make-safe'].includes(strip.phase) && Object.keys(strip.takesOff).length > 0)
            expect(ahead(strip.id).has(test.id), `${strip.id} before ${test.id} ${options}`).toBe(true)
      }
    }
  })
  if (pack.options.some(option => option.id === 'arrival'))
    it('a car that came on a trailer is not driven, and the log says why', () => {
      const { operations } = packs.expandPack(pack, { arrival: 'trailer' })
      expect(operations.some(operation => operation.id === 'listen-before')).toBe(false)
      expect(operations.find(operation => operation.id === 'told-before')!.title).toContain('trailer')
    })
  it('two bolts follow the box at once, and every one of the bell is set before the engine is let go or the pedal pressed', () => {
    for (const { options, procedure, ahead, has } of cases) {
      if (!has('pull-box')) continue
      expect(
        procedure.links.some(
          link => link.before === 'pull-box.refit' && link.after === 'last-bell-bolts.refit' && link.atOnce,
        ),
        options,
      ).toBe(true)
      for (const bolts of ['last-bell-bolts.refit', 'upper-bell-bolts.refit', 'lowest-bell-bolts.refit'])
        expect(ahead('bell-torqued').has(bolts), `${bolts} ${options}`).toBe(true)
      for (const later of [
        'hold-engine.refit',
        'hold-engine-below.refit',
        'pedal-proof',
        'converter-bolts-out.refit',
      ]) {
        // On a two-post lift the upper ones wait until nothing stands on the floor under the engine; all others are set before.
        const isReached = later !== 'hold-engine-below.refit' || !has('side-bolts-set')
        if (has(later))
          expect(ahead(later).has(isReached ? 'bell-torqued' : 'side-bolts-set'), `${later} ${options}`).toBe(true)
      }
      expect(ahead(has('pedal-proof') ? 'pedal-proof' : 'ready-to-run').has('starter-out.refit'), options).toBe(true)
    }
  })
  it('every bolt that is left started or snug is set by a later step', () => {
    for (const { options, procedure, ahead } of cases) {
      const groupOf = new Map(procedure.items.map(item => [item.id, item]))
      for (const operation of procedure.operations) {
        for (const item of [
          ...Object.keys(operation.putsBack),
          ...(operation.phase === 'refit' ? Object.keys(operation.takesOff) : []),
        ]) {
          const entry = groupOf.get(item)
          if (
            !entry?.group ||
            (entry.state === 'slack' && operation.putsBack[item]) ||
            packs.groupsSetBy(operation).includes(entry.group)
          )
            continue
          const sets = procedure.operations.filter(
            other => packs.groupsSetBy(other).includes(entry.group!) && ahead(other.id).has(operation.id),
          )
          expect(sets.length, `${operation.id} leaves ${item} ${options}`).toBeGreaterThan(0)
        }
      }
    }
  })
  it('level, supports, floors and angles', () => {
    for (const { options, procedure, ahead, has } of cases) {
      const needs = (id: string) => procedure.operations.find(operation => operation.id === id)!.needs
      for (const fill of ['fill-box', 'case-fill'])
        if (has(fill)) expect(needs(fill), `${fill} ${options}`).toContain('car-level')
      for (const support of ['hold-engine', 'hold-engine-below']) {
        const step = procedure.operations.find(operation => operation.id === support)
        if (step?.place === 'under' && has('undertray-off'))
          expect(ahead(support).has('undertray-off'), options).toBe(true)
      }
      if (has('subframe-down')) {
        expect(
          procedure.links.some(
            link => link.before === 'subframe-jacks-under' && link.after === 'subframe-down' && link.atOnce,
          ),
        ).toBe(true)
        for (const first of [
          'exhaust-off',
          'drain-plug-in',
          'lowest-bell-bolts',
          'near-shaft-out',
          'steering-pinch-out',
          'stabiliser-off',
        ])
          if (has(first)) expect(ahead('subframe-jacks-under').has(first), `${first} ${options}`).toBe(true)
      }
      if (has('concentric-gap')) expect(ahead('concentric-gap').has('cover-tighten'), options).toBe(true)
      if (has('box-in-gear')) expect(ahead('spline-clock').has('box-in-gear'), options).toBe(true)
      if (has('floor-cut')) expect(ahead('floor-cut').has('pull-box'), options).toBe(true)
      if (has('angles-set')) {
        expect(needs('angles-set')).toContain('axle-loaded')
        expect(ahead('prop-measured').has('angles-set') && needs('prop-measured').includes('axle-loaded')).toBe(true)
      }
      if (has('free-play-set')) expect(ahead('free-play-set').has('mounts-final'), options).toBe(true)
      if (has('filled-set-out'))
        for (const parted of ['slave-line-off', 'bell-line-off']) expect(has(parted), options).toBe(false)
      if (has('cover-released'))
        expect(ahead('cover-full').has('cover-released') && ahead('tool-slides').has('cover-full')).toBe(true)
      if (has('pilot-out')) expect(ahead('pilot-in').has('pilot-bore-wiped'), options).toBe(true)
      if (has('lugs-again')) expect(has('wheels-off'), options).toBe(true)
      // A shield above the pipe does not come off with the pipe on.
      if (has('heat-shield-off')) expect(ahead('heat-shield-off').has('exhaust-off'), options).toBe(true)
    }
  })
})

describe('what one layout has and another has not', () => {
  const ids = (id: string, options: Record<string, string> = {}) =>
    packs.expandPack(shelf.packs.get(id)!, options).operations.map(operation => operation.id)
  it('a classic has no exhaust sensors, and its battery comes off before anything electric', () => {
    expect(ids('classic-rwd').some(id => id.startsWith('exhaust-sensors'))).toBe(false)
    const reach = before(packs.expandPack(shelf.packs.get('classic-rwd')!))
    for (const step of ['box-wiring-off', 'starter-cables-off', 'threads-soaked'])
      expect(reach(step).has('battery-off'), step).toBe(true)
  })
  it('an engine made for an automatic has no pilot to take out, and its fluid is not judged as the oil of the manual', () => {
    for (const id of ['pilot-measured', 'pilot-out', 'oil-measure']) expect(ids('manual-swap')).not.toContain(id)
    expect(
      packs
        .expandPack(shelf.packs.get('manual-swap')!)
        .bench.sheets.find(sheet => sheet.id === 'gear-oil')!
        .fields.some(field => field.id === 'out'),
    ).toBe(false)
  })
  it('says how far a hub nut is cracked, by what a shaft is held, and how an engine and its box come down', () => {
    const work = (id: string, layout: string, options: Record<string, string> = {}) =>
      packs.expandPack(shelf.packs.get(layout)!, options).operations.find(operation => operation.id === id)!
    for (const pack of shelf.packs.values()) {
      for (const nuts of packs.expandPack(pack).operations.filter(({ id }) => /^crack-hub-nuts?$/.test(id)))
        expect(`${nuts.title} ${nuts.skill}`, pack.id).toMatch(/a quarter turn and no more.*neither rolled/)
    }
    expect(work('crack-hub-nut', 'fwd-transverse')).toBeDefined()
    expect(work('crack-hub-nuts', 'fwd-transverse', { 'far-shaft': 'out' })).toBeDefined()
    const [shaft] = packs
      .expandPack(shelf.packs.get('4x4-transfer')!)
      .operations.filter(operation => /take the front/.test(operation.title))
    expect(shaft!.title).toMatch(/wedge bar, case in neutral/)
    const down = packs
      .expandPack(shelf.packs.get('rwd-longitudinal')!)
      .operations.filter(operation => /jack and engine support by turns/.test(operation.title))
    expect(down.map(operation => operation.phase)).toEqual(['strip', 'refit'])
    for (const step of down) expect(step.title).toContain('touches again')
  })
  it('knows every step by which these orders are told', () => {
    const known = new Set(
      [...shelf.packs.values()].flatMap(pack => pack.modules.flatMap(module => module.operations.map(({ id }) => id))),
    )
    const told = [
      'hold-engine',
      'hold-engine-below',
      'undertray-off',
      'subframe-down',
      'subframe-jacks-under',
      'exhaust-off',
      'drain-plug-in',
      'lowest-bell-bolts',
      'near-shaft-out',
      'steering-pinch-out',
      'stabiliser-off',
      'concentric-gap',
      'cover-tighten',
      'box-in-gear',
      'spline-clock',
      'floor-cut',
      'angles-set',
      'prop-measured',
      'free-play-set',
      'mounts-final',
      'filled-set-out',
      'slave-line-off',
      'bell-line-off',
      'cover-released',
      'cover-full',
      'pilot-out',
      'pilot-in',
      'pilot-bore-wiped',
      'lugs-again',
      'wheels-off',
      'heat-shield-off',
      'fill-box',
      'case-fill',
      'bell-torqued',
      'starter-out',
      'pedal-proof',
      'pull-box',
      'listen-before',
      'told-before',
      'ready-to-run',
    ]
    expect(told.filter(id => !known.has(id))).toEqual([])
  })
  it('a conversion is begun with its whole bill', () => {
    const bill = packs
      .expandPack(shelf.packs.get('manual-swap')!)
      .operations.find(operation => operation.id === 'parts-laid-out')!.parts
    for (const part of ['manual-mount', 'manual-crossmember', 'cover-bolts-kit', 'slip-yoke', 'pedal-stop'])
      expect(bill, part).toHaveProperty(part)
  })
  it('a heavy box weighs about double a light one', () => {
    const mass = (id: string) => {
      const field = shelf.packs
        .get(id)!
        .bench.sheets.find(sheet => sheet.id === 'lift-box')!
        .fields.find(entry => entry.id === 'mass')
      return field?.kind === 'number' ? field.guide! : 0
    }
    expect(mass('4x4-transfer') / mass('rwd-longitudinal')).toBeGreaterThan(1.9)
  })
  it('no step that takes the battery off keeps the car alive', () => {
    for (const pack of shelf.packs.values())
      expect(
        pack.tools.some(tool => /memory/i.test(tool.name)),
        pack.id,
      ).toBe(false)
  })
  it('minutes of bleeding stand in one table', async () => {
    const { hydraulics } = await import('../../core')
    const pack = shelf.packs.get('rwd-longitudinal')!
    const advised = new Map(
      hydraulics
        .adviseBleed({
          opened: true,
          preFilled: true,
          slave: 'outside',
          bleeder: 'at-top',
          helper: true,
          tools: ['vacuum-pump', 'pressure-bottle', 'syringe'],
          minutesLeft: 999,
          sharedReservoir: false,
        })
        .map(entry => [entry.method, entry.minutes]),
    )
    for (const way of pack.bleeding) {
      const { operations, links } = packs.expandPack(pack, { slave: 'opened', bleed: way.id })
      const step = operations.find(operation => operation.activity?.kind === 'bleed')!
      const wait = Math.max(
        0,
        ...links.filter(link => link.before === step.id && link.after === 'pedal-proof').map(link => link.waitMinutes),
      )
      expect(step.minutes, way.id).toEqual(way.minutes)
      expect(advised.get(way.id), way.id).toBe(way.minutes![1] + wait)
      if (wait > 0) expect(wait).toBe(way.restMinutes)
    }
  })
})
