import { describe, expect, it } from 'vitest'
import { TestLog } from '../../tests/support/job-log'
import { coverAndPart, link, operation, smallPack } from '../../tests/support/small-pack'
import { describeEvent } from './job'
import { tighteningPasses } from '../fasteners'

const open = () => TestLog.open(coverAndPart())

/** A step with every kind of activity and reading. */
function busyPack() {
  return smallPack({
    items: [{ id: 'bolts', name: 'Bolts', state: 'off' }],
    groups: [
      { id: 'cover-bolts', name: 'Cover bolts', count: 6, part: 'kit' },
      { id: 'other-bolts', name: 'Other bolts', count: 4, part: 'vehicle' },
    ],
    facts: [{ id: 'home', name: 'Slave home', because: 'The piston is pushed out.', kind: 'safety', initially: true }],
    operations: [
      operation('measure', {
        phase: 'bench',
        readings: [
          { id: 'gap', name: 'Gap', kind: 'number', unit: 'mm', required: true, low: 0, high: 5 },
          {
            id: 'look',
            name: 'Look',
            kind: 'choice',
            choices: ['dry', 'wet'],
            required: false,
            stops: ['wet'],
            about: 'Find the leak.',
          },
        ],
      }),
      operation('tighten', { phase: 'bench', activity: { kind: 'tighten', group: 'cover-bolts' } }),
      operation('use-other', { phase: 'bench', figure: 'other-bolts' }),
      operation('bleed', { phase: 'fill', activity: { kind: 'bleed', strokesPerRound: 5, restMinutes: 30 } }),
      operation('gears', { phase: 'prove', needs: ['home'], activity: { kind: 'gears', engine: 'off' } }),
    ],
    links: [link('measure', 'tighten'), link('bleed', 'gears')],
  })
}
const busy = () => TestLog.open(busyPack())
const figure = { group: 'cover-bolts', torqueNm: 21, sourceKind: 'kit-sheet', reference: 'Sheet 4' } as const
const run = {
  runId: 'r',
  stepId: 'tighten',
  group: 'cover-bolts',
  boltCount: 6,
  figure,
  passes: tighteningPasses(6, 21),
}

describe('step-done', () => {
  it('answers a forbidden move with the because', () => {
    expect(open().refusal('step-done', { stepId: 'part-off' })).toBe(
      'First: Do cover-off. cover-off is in the way of part-off',
    )
  })
  it('wants the car at the height of the step', () => {
    const log = open().done('cover-off')
    expect(log.refusal('step-done', { stepId: 'part-off' })).toContain('The car is on the ground')
    expect(log.done('raise-1').refusal('step-done', { stepId: 'part-off' })).toBeNull()
  })
  it('lets a habit be broken', () => {
    const pack = smallPack({ operations: [operation('a'), operation('b')], links: [link('a', 'b', { kind: 'habit' })] })
    expect(TestLog.open(pack).refusal('step-done', { stepId: 'b' })).toBeNull()
  })
  it('is refused twice, and on steps that are not there', () => {
    expect(open().done('cover-off').refusal('step-done', { stepId: 'cover-off' })).toContain('done already')
    expect(open().refusal('step-done', { stepId: 'nowhere' })).toContain('no step "nowhere"')
  })
  it('waits for a reading that is required', () => {
    const log = busy()
    expect(log.refusal('step-done', { stepId: 'measure' })).toContain('Gap')
    log.add('reading-taken', { stepId: 'measure', readingId: 'gap', value: 1.5, unit: 'mm' })
    expect(describeEvent(log.events.at(-1)!, log.events)).toBe('Reading: Gap')
    expect(log.refusal('step-done', { stepId: 'measure' })).toBeNull()
  })
})

describe('a reading that stops', () => {
  it('holds the step up until it is taken again', () => {
    const log = busy()
      .add('reading-taken', { stepId: 'measure', readingId: 'gap', value: 1.5, unit: 'mm' })
      .add('reading-taken', { stepId: 'measure', readingId: 'look', value: 'wet', unit: null })
    expect(log.refusal('step-done', { stepId: 'measure' })).toBe(
      'Look: wet. Find the leak. Put it right and take the reading again.',
    )
    expect(
      log
        .add('reading-taken', { stepId: 'measure', readingId: 'look', value: 'dry', unit: null })
        .refusal('step-done', { stepId: 'measure' }),
    ).toBeNull()
  })
})

describe('reading-taken', () => {
  it.each([
    [{ readingId: 'gap', value: 9, unit: 'mm' }, 'Between {0 mm} and {5 mm}'],
    [{ readingId: 'gap', value: 'wide', unit: 'mm' }, 'number'],
    [{ readingId: 'gap', value: 1, unit: 'in' }, 'kept in mm'],
    [{ readingId: 'look', value: 'damp', unit: null }, 'dry, wet'],
    [{ readingId: 'smell', value: 1, unit: 'mm' }, 'no reading "smell"'],
  ])('refuses %o', (reading, reason) => {
    expect(busy().refusal('reading-taken', { stepId: 'measure', ...reading })).toContain(reason)
  })
})

describe('tightening run', () => {
  const ready = () =>
    busy().add('reading-taken', { stepId: 'measure', readingId: 'gap', value: 1, unit: 'mm' }).done('measure')
  it('does not start without a figure that somebody named with its source', () => {
    expect(ready().refusal('run-started', run)).toContain('named with its source')
    expect(ready().add('figure-named', figure).refusal('run-started', run)).toBeNull()
  })
  it('does not take another group’s figure', () => {
    const other = { ...figure, group: 'other-bolts' }
    expect(
      ready()
        .add('figure-named', other)
        .refusal('run-started', { ...run, figure: other }),
    ).toContain('another group')
  })
  it('does not start before its step can', () => {
    expect(busy().add('figure-named', figure).refusal('run-started', run)).toContain('First: Do measure')
  })
  it('takes the bolts in their order and no other', () => {
    const log = ready().add('figure-named', figure).add('run-started', run)
    expect(log.refusal('bolt-turned', { runId: 'r', passIndex: 0, bolt: 1 })).toContain('number 1 in pass 1')
    log.add('bolt-turned', { runId: 'r', passIndex: 0, bolt: 0 })
    expect(log.refusal('bolt-turned', { runId: 'r', passIndex: 0, bolt: 3 })).toBeNull()
    expect(log.refusal('step-done', { stepId: 'tighten' })).toContain('23 turns to go')
    expect(log.refusal('run-started', { ...run, runId: 's' })).toContain('open already')
  })
  it('completes its step when every turn is done', () => {
    const log = ready().add('figure-named', figure).add('run-started', run)
    run.passes.forEach((pass, passIndex) =>
      pass.order.forEach(bolt => log.add('bolt-turned', { runId: 'r', passIndex, bolt })),
    )
    expect(log.refusal('bolt-turned', { runId: 'r', passIndex: 3, bolt: 0 })).toContain('Every bolt')
    expect(log.refusal('step-done', { stepId: 'tighten' })).toBeNull()
  })
  it('takes the rest of a pass at once, and no pass before its turn', () => {
    const log = ready()
      .add('figure-named', figure)
      .add('run-started', run)
      .add('bolt-turned', { runId: 'r', passIndex: 0, bolt: 0 })
    expect(log.refusal('pass-turned', { runId: 'r', passIndex: 1 })).toContain('in pass 1')
    run.passes.forEach((_, passIndex) => log.add('pass-turned', { runId: 'r', passIndex }))
    expect(log.state.runs[0]!.turned).toBe(24)
    expect(log.refusal('pass-turned', { runId: 'r', passIndex: 3 })).toContain('Every bolt')
    expect(log.refusal('step-done', { stepId: 'tighten' })).toBeNull()
  })
  it('can be dropped and begun again', () => {
    const log = ready()
      .add('figure-named', figure)
      .add('run-started', run)
      .add('run-dropped', { runId: 'r', reason: 'wrong count' })
    expect(log.refusal('bolt-turned', { runId: 'r', passIndex: 0, bolt: 0 })).toContain('No such run')
    expect(log.refusal('run-started', { ...run, runId: 's' })).toBeNull()
  })
  it('refuses a figure that is none', () => {
    expect(busy().refusal('figure-named', { ...figure, torqueNm: -1 })).toContain('above zero')
    expect(busy().refusal('figure-named', { ...figure, group: 'nuts' })).toContain('no fastener group')
  })
})

describe('bleeding and gears', () => {
  it('counts strokes only when opened and not at rest', () => {
    const log = busy()
    expect(log.refusal('stroke-counted', { stepId: 'bleed' })).toContain('not been opened')
    log.add('bleed-opened', { stepId: 'bleed', strokesPerRound: 5, restMinutes: 30 })
    expect(log.refusal('pedal-judged', { stepId: 'bleed', feel: 'firm' })).toContain('Count something of this round')
    log.add('stroke-counted', { stepId: 'bleed' }).add('rest-started', { stepId: 'bleed' })
    expect(log.refusal('stroke-counted', { stepId: 'bleed' })).toContain('resting')
    expect(log.refusal('step-done', { stepId: 'bleed' })).toContain('firm')
    log.add('pedal-judged', { stepId: 'bleed', feel: 'firm' })
    expect(log.refusal('step-done', { stepId: 'bleed' })).toBeNull()
    expect(log.refusal('stroke-counted', { stepId: 'bleed' })).not.toBeNull()
  })
  it('wants every gear tried, and only gears the car has', () => {
    const log = busy()
    expect(log.refusal('gear-tried', { stepId: 'gears', gear: '1', result: 'clean' })).toContain('First: Do bleed')
    log
      .add('bleed-opened', { stepId: 'bleed', strokesPerRound: 5, restMinutes: 30 })
      .add('stroke-counted', { stepId: 'bleed' })
      .add('pedal-judged', { stepId: 'bleed', feel: 'firm' })
      .done('bleed')
    expect(log.refusal('gear-tried', { stepId: 'gears', gear: '9', result: 'clean' })).toContain('no gear "9"')
    log.add('gear-tried', { stepId: 'gears', gear: '1', result: 'clean' })
    expect(log.refusal('step-done', { stepId: 'gears' })).toContain('2, R')
    log
      .add('gear-tried', { stepId: 'gears', gear: '2', result: 'clean' })
      .add('gear-tried', { stepId: 'gears', gear: 'R', result: 'refuses' })
    expect(log.refusal('step-done', { stepId: 'gears' })).toContain('Gear R is not right')
    log.add('trouble-raised', { troubleId: 't', stepId: 'gears', text: 'Reverse grates', waitsFor: null, until: null })
    expect(log.refusal('step-done', { stepId: 'gears' })).toBeNull()
  })
})

describe('handed-over', () => {
  it('is refused while something is off, and names it', () => {
    expect(open().done('cover-off').refusal('handed-over', { to: 'Somebody', odometerKm: null })).toContain('Cover')
  })
  it('goes when each open entry has a reason', () => {
    const log = open().done('cover-off').add('left-open', { entry: 'item:cover', reason: 'Customer fits it' })
    expect(log.refusal('handed-over', { to: 'Somebody', odometerKm: null })).toBeNull()
    expect(log.refusal('left-open', { entry: 'item:part', reason: 'x' })).toContain('not open')
  })
  it('waits for a trouble that is not cleared', () => {
    const log = open().add('trouble-raised', {
      troubleId: 't',
      stepId: null,
      text: 'Noise',
      waitsFor: null,
      until: null,
    })
    expect(log.refusal('handed-over', { to: 'Somebody', odometerKm: null })).toContain('Noise')
    expect(
      log
        .add('trouble-cleared', { troubleId: 't', how: 'Clip' })
        .refusal('handed-over', { to: 'Somebody', odometerKm: null }),
    ).toBeNull()
  })
  it('closes the log for work, not for the break-in', () => {
    const log = open().add('handed-over', { to: 'Somebody', odometerKm: 1010 })
    expect(log.refusal('step-done', { stepId: 'cover-off' })).toContain('handed over')
    expect(
      log.refusal('break-in-set', { distanceKm: 640, writtenAs: '400 mi', source: 'Sheet', odometerKm: 1010 }),
    ).toBeNull()
  })
})

describe('called-off', () => {
  it('ends a job that was not begun, and can be undone', () => {
    const log = open()
    expect(log.refusal('called-off', { reason: 'Taken in by mistake' })).toBeNull()
    log.add('called-off', { reason: 'Taken in by mistake' })
    expect(log.refusal('step-done', { stepId: 'cover-off' })).toContain('called off')
    log.add('undone', { eventId: log.events.at(-1)!.id })
    expect(log.refusal('step-done', { stepId: 'cover-off' })).toBeNull()
  })
  it('does not leave a car in pieces without a word', () => {
    const log = open().done('cover-off')
    expect(log.refusal('called-off', { reason: 'Too dear' })).toContain('Cover')
    log.add('left-open', { entry: 'item:cover', reason: 'Customer fits it' })
    expect(log.refusal('called-off', { reason: 'Too dear' })).toBeNull()
  })
})

describe('undone', () => {
  it('goes back one act at a time', () => {
    const log = open().done('cover-off', 'raise-1')
    expect(log.refusal('undone', { eventId: log.events.at(-2)!.id })).toContain('one act at a time')
    expect(log.refusal('undone', { eventId: log.events.at(-1)!.id })).toBeNull()
    expect(log.refusal('undone', { eventId: 'nothing' })).toContain('No such event')
  })
  it('does not reach the opening of the job', () => {
    const log = open()
    expect(log.refusal('undone', { eventId: log.events[1]!.id })).not.toBeNull()
  })
})
