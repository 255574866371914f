import { describe, expect, it } from 'vitest'
import { moduleFile, optionsFile } from './pack-file'

const operation = { id: 'a', title: 'Do it', phase: 'strip', place: 'top', car: 'either', minutes: [1, 2, 3] }
const module = (change: object, more: object = {}) =>
  moduleFile.safeParse({ id: 'm', title: 'Module', operations: [{ ...operation, ...change }], ...more })
const problem = (result: ReturnType<typeof module>) =>
  result.success ? null : `${result.error.issues[0]!.path.join('.')}: ${result.error.issues[0]!.message}`

describe('operations', () => {
  it('fill in what is left out', () => {
    expect(module({}).data!.operations[0]).toMatchObject({
      hands: 1,
      tools: [],
      takesOff: {},
      when: [],
      refit: { kind: 'none' },
    })
  })
  it('read the three ways of a refit', () => {
    const refitOf = (refit: unknown) => module({ takesOff: { x: 1 }, refit }).data!.operations[0]!.refit
    expect(refitOf({ by: 'later' })).toEqual({ kind: 'by', operation: 'later' })
    expect(refitOf({ title: 'Put it back' })).toEqual({ kind: 'mirror', override: { title: 'Put it back' } })
    expect(problem(module({ takesOff: { x: 1 } }))).toContain('needs a refit')
  })
  it('take one choice or several', () => {
    expect(module({ when: { lift: 'stands', slave: ['aside', 'opened'] } }).data!.operations[0]!.when).toEqual([
      { lift: ['stands'], slave: ['aside', 'opened'] },
    ])
  })
  it.each([
    [{ minutes: [3, 2, 1] }, 'operations.0.minutes: low, likely and high'],
    [{ minutes: [1, 2] }, 'operations.0.minutes'],
    [{ hands: 3 }, 'operations.0.hands'],
    [{ hands: 2 }, 'operations.0.aloneWay'],
    [{ id: 'Big Id' }, 'operations.0.id'],
    [{ takesOff: { x: 0 }, refit: { by: 'b' } }, 'operations.0.takesOff.x'],
    [{ colour: 'red' }, 'Nothing here is called'],
    [{ activity: { kind: 'bleed', strokesPerRound: 1, restMinutes: 60 } }, 'operations.0.activity.strokesPerRound'],
    [{ activity: { kind: 'bleed', restMinutes: 60 } }, 'operations.0.activity.way'],
    [
      { readings: [{ id: 'r', name: 'Reading', kind: 'choice', choices: ['only'] }] },
      'operations.0.readings.0.choices',
    ],
  ])('refuse %o', (change, reason) => {
    expect(problem(module(change))).toContain(reason)
  })
})

describe('links', () => {
  const linkOf = (change: object) =>
    module({}, { links: [{ before: 'a', after: 'b', because: 'It is in the way.', ...change }] })
  it('hold the other way round by their kind, unless told', () => {
    expect(linkOf({ kind: 'access' }).data!.links[0]!.mirror).toBe(true)
    expect(linkOf({ kind: 'safety' }).data!.links[0]!.mirror).toBe(false)
    expect(linkOf({ kind: 'safety', mirror: true }).data!.links[0]!.mirror).toBe(true)
  })
  it('do without a wait, not without a because', () => {
    expect(linkOf({ kind: 'clean', wait: 30 }).data!.links[0]!.waitMinutes).toBe(30)
    expect(problem(linkOf({ kind: 'clean', because: '' }))).toContain('links.0.because')
    expect(problem(linkOf({ kind: 'whim' }))).toContain('links.0.kind')
  })
})

it('wants a choice inside an option’s sentence', () => {
  const option = {
    id: 'o',
    sentence: 'The slave is what',
    choices: [
      { id: 'a', label: 'this' },
      { id: 'b', label: 'that' },
    ],
    default: 'a',
  }
  expect(optionsFile.safeParse([option]).error!.issues[0]!.path).toEqual([0, 'sentence'])
})
it('writes one reason between several steps once', () => {
  const result = module(
    {},
    { links: [{ before: ['a', 'b'], after: ['c', 'd'], kind: 'habit', because: 'Test first.' }] },
  )
  expect(result.data!.links.map(link => `${link.before} ${link.after}`)).toEqual(['a c', 'a d', 'b c', 'b d'])
})
it('takes alternatives of choices', () => {
  expect(module({ when: [{ lift: 'stands' }, { slave: 'opened' }] }).data!.operations[0]!.when).toEqual([
    { lift: ['stands'] },
    { slave: ['opened'] },
  ])
})
