import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { link, operation, smallPack } from '../../../tests/support/small-pack'
import type { Ladder, PackOption, Sheet } from '../../packs'
import { badFindings, openFindings } from './bad-findings'
import { openBeforeHandover } from './before-handover'
import { blockersOf } from './blockers'
import { closing } from './closing'

const ladder: Ladder = {
  id: 'slipping',
  title: 'It slips',
  when: [],
  steps: [],
  everywhere: true,
  cautions: [],
  rungs: [{ id: 'soft', title: 'Free play', text: 'Set it.', tools: [], parts: [] }],
}
const option: PackOption = {
  id: 'wheel',
  sentence: 'The wheel is …',
  default: 'kept',
  school: false,
  choices: [
    { id: 'kept', label: 'kept' },
    { id: 'new', label: 'new' },
  ],
}
const sheet: Sheet = {
  id: 'look',
  title: 'Look',
  row: 'measure',
  drawing: 'disc',
  steps: ['look'],
  when: [],
  look: [],
  judges: [],
  schools: [],
  fields: [
    {
      id: 'face',
      name: 'Face',
      kind: 'choice',
      when: [],
      reading: { step: 'look', id: 'face' },
      answers: [
        { id: 'a', label: 'sound', says: 'good' },
        { id: 'b', label: 'cracked', says: 'renew', because: 'It grows.' },
      ],
    },
    {
      id: 'teeth',
      name: 'Teeth',
      kind: 'choice',
      when: [],
      answers: [
        { id: 'whole', label: 'whole', says: 'good' },
        { id: 'torn', label: 'torn', says: 'renew', because: 'It strikes.', renews: ['wheel'] },
      ],
    },
  ],
}
const pack = smallPack(
  {
    operations: [
      operation('look', {
        readings: [
          {
            id: 'face',
            name: 'Face',
            kind: 'choice',
            required: true,
            choices: ['sound', 'cracked'],
            bad: {
              cracked: {
                because: 'A crack grows.',
                options: { wheel: ['new'] },
                renews: ['wheel'],
                ladder: 'slipping',
              },
            },
          },
        ],
      }),
      operation('fit', { phase: 'bench', place: 'bench' }),
      operation('drive', {
        phase: 'prove',
        place: 'cab',
        readings: [
          {
            id: 'road',
            name: 'On the road',
            kind: 'choice',
            required: true,
            choices: ['clean', 'slips', 'will not stop'],
            stops: ['will not stop'],
            about: 'Do not drive it.',
            bad: { slips: { because: 'It does not hold.' } },
          },
        ],
      }),
    ],
    links: [link('look', 'fit', { kind: 'physical', mirror: false }), link('fit', 'drive', { mirror: false })],
  },
  {
    options: [option],
    ladders: [ladder],
    bench: {
      sheets: [sheet],
      orientations: [],
      oldParts: [],
      reachable: [
        {
          id: 'wheel',
          name: 'Wheel',
          part: 'wheel',
          reachedBy: ['look'],
          minutes: [1, 2, 3],
          chance: 0.1,
          because: 'It is there.',
          sheets: [],
          schools: [],
        },
      ],
    },
    closing: [
      { id: 'findings', kind: 'findings', title: 'Nothing unanswered', because: 'Say it.', steps: [] },
      { id: 'road', kind: 'steps', title: 'Driven', because: 'It drives.', steps: ['drive'] },
    ],
  },
)
const open = (options = {}) => TestLog.open(pack, options)
const read = (log: TestLog, stepId: string, readingId: string, value: string) =>
  log.add('reading-taken', { stepId, readingId, value, unit: null })
const cracked = (options = {}) => read(open(options), 'look', 'face', 'cracked')

describe('what was found bad', () => {
  it('is dealt with where its ladder did not help and somebody else put it right', () => {
    const log = cracked().add('ladder-opened', {
      ladderRunId: 'r',
      ladderId: 'slipping',
      stepId: 'look',
      text: 'Face: cracked',
    })
    log
      .add('rung-begun', { ladderRunId: 'r', rungId: 'soft', ticked: [] })
      .add('rung-ended', { ladderRunId: 'r', rungId: 'soft', outcome: 'failed', note: null })
    log.add('ladder-left', {
      ladderRunId: 'r',
      end: 'machine-shop',
      waitsFor: 'Machine shop',
      until: null,
      minutes: 30,
    })
    expect(openFindings(badFindings(log.state))).toHaveLength(1)
    log.add('trouble-cleared', { troubleId: 'r', how: 'Ground flat' })
    expect(openFindings(badFindings(log.state))).toEqual([])
  })
  it('holds its step until it is dealt with or somebody answers for it', () => {
    const log = cracked()
    expect(log.refusal('step-done', { stepId: 'look' })).toBe(
      'Face: cracked. A crack grows. Deal with it, or say who answers for it and why.',
    )
    log.add('left-open', { entry: 'finding:look:face:cracked', reason: 'Customer drives it to the breaker' })
    expect(log.refusal('step-done', { stepId: 'look' })).toBeNull()
    expect(
      log.add('left-open-withdrawn', { entry: 'finding:look:face:cracked' }).refusal('step-done', { stepId: 'look' }),
    ).not.toBeNull()
  })
  it('is dealt with by the choice of the job, by the part, by its ladder, or by a better answer', () => {
    expect(cracked({ wheel: 'new' }).refusal('step-done', { stepId: 'look' })).toBeNull()
    expect(
      cracked()
        .add('renewal-decided', { decisions: [{ partId: 'wheel', decision: 'renew' }], because: 'Cracked' })
        .refusal('step-done', { stepId: 'look' }),
    ).toBeNull()
    expect(read(cracked(), 'look', 'face', 'sound').refusal('step-done', { stepId: 'look' })).toBeNull()
    const climbed = cracked()
      .add('ladder-opened', { ladderRunId: 'r', ladderId: 'slipping', stepId: null, text: 'It slips' })
      .add('rung-begun', { ladderRunId: 'r', rungId: 'soft', ticked: [] })
    expect(climbed.refusal('step-done', { stepId: 'look' })).not.toBeNull()
    expect(
      climbed
        .add('rung-ended', { ladderRunId: 'r', rungId: 'soft', outcome: 'worked', note: null })
        .refusal('step-done', { stepId: 'look' }),
    ).toBeNull()
  })
  it('found after its step is done stops the steps that hang on it', () => {
    const log = read(read(open(), 'look', 'face', 'sound').done('look'), 'look', 'face', 'cracked')
    expect(blockersOf(log.state, 'fit')).toMatchObject([
      { stepId: 'look', title: 'Face: cracked', because: 'A crack grows.' },
    ])
    expect(log.refusal('step-done', { stepId: 'fit' })).toContain('Face: cracked')
  })
  it('stands on the hand-over with who answers for it, and no closing check says done over it', () => {
    const log = read(read(open(), 'look', 'face', 'sound').done('look', 'fit'), 'drive', 'road', 'slips')
    const lines = () => Object.fromEntries(closing(log.state).map(line => [line.id, line.status]))
    expect(lines()).toEqual({ findings: 'open', road: 'open' })
    log.add('left-open', { entry: 'finding:drive:road:slips', reason: 'Comes back on Monday' }).done('drive')
    expect(lines()).toEqual({ findings: 'left', road: 'left' })
    expect(closing(log.state)[1]!.left).toMatchObject([
      { title: 'On the road: slips', reason: 'Comes back on Monday', personId: 'p' },
    ])
    expect(log.refusal('handed-over', { to: 'Somebody', odometerKm: null })).toBeNull()
  })
  it('that stops is answered for by nobody', () => {
    const log = read(read(open(), 'look', 'face', 'sound').done('look', 'fit'), 'drive', 'road', 'will not stop')
    log.add('left-open', { entry: 'finding:drive:road:will not stop', reason: 'He wants it' })
    expect(log.refusal('step-done', { stepId: 'drive' })).toContain('will not stop')
    expect(openBeforeHandover(log.state).find(entry => entry.kind === 'finding')).toMatchObject({ safety: true })
  })
  it('stands on a sheet as well as at a step, once, and on a road task', () => {
    const log = cracked()
    expect(log.state.sheets.look!.values.face).toEqual({ kind: 'choice', answer: 'b' })
    log.add('sheet-read', { sheetId: 'look', values: { teeth: { kind: 'choice', answer: 'torn' } }, cleared: [] })
    expect(openFindings(badFindings(log.state)).map(finding => finding.entry)).toEqual([
      'finding:look:face:cracked',
      'finding:sheet:look:teeth:torn',
    ])
    log.add('renewal-decided', { decisions: [{ partId: 'wheel', decision: 'renew' }], because: 'Torn' })
    expect(openFindings(badFindings(log.state))).toEqual([])
  })
})
