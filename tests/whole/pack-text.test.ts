import { describe, expect, it } from 'vitest'
import { shelf } from '../support/packs'
import { readPack } from '../../contracts/read-pack'
import { writePack } from '../../contracts/write-pack'

const plain = (value: unknown) => JSON.parse(JSON.stringify(value)) as unknown
const text = writePack(shelf.packs.get('rwd-longitudinal')!)
const problemsOf = (change: (yaml: string) => string) => {
  const changed = change(text)
  expect(changed).not.toBe(text)
  return readPack(changed, shelf.terms).problems.map(({ path, reason, line, from, to }) => ({
    path,
    reason,
    line,
    marked: changed.slice(from, to),
  }))
}

describe('a pack as text', () => {
  it.each([...shelf.packs.keys()])('%s is written and read back equal', id => {
    const pack = shelf.packs.get(id)!
    const { pack: back, problems } = readPack(writePack(pack), shelf.terms)
    expect(problems).toEqual([])
    expect(plain(back)).toEqual(plain(pack))
  })
})

describe('what is wrong in a pack is told with path, line and place', () => {
  it('broken YAML', () => {
    expect(problemsOf(yaml => yaml.replace('version: 1', 'version: [1'))[0]).toMatchObject({ path: '' })
  })
  it('an unknown id', () => {
    const [problem] = problemsOf(yaml => yaml.replace('after: rear-mount-off', 'after: rear-mount-of'))
    expect(problem).toMatchObject({ reason: 'unknown operation "rear-mount-of"' })
    expect(text.split('\n')[problem!.line - 1]).toContain('after: rear-mount-off')
  })
  it('a missing because', () => {
    const [problem] = problemsOf(yaml =>
      yaml.replace(/, because: When the engine leans back the fan meets its shroud\./, ''),
    )
    expect(problem!.path).toMatch(/^modules\[engine-tilt-room\]\.links\[\d+\]\.because$/)
    expect(problem!.reason).toBe('a sentence is wanted')
  })
  it('minutes in the wrong order', () => {
    const [problem] = problemsOf(yaml => yaml.replace('minutes: [ 2, 4, 8 ]', 'minutes: [ 9, 4, 8 ]'))
    expect(problem).toMatchObject({ reason: 'low, likely and high minutes in rising order', marked: 'minutes' })
  })
  it('a cycle, printed as a path', () => {
    const [problem] = problemsOf(yaml =>
      yaml.replace(/before: crossmember-marked(,?\s+after: rear-mount-off)/, 'before: pull-box$1'),
    )
    expect(problem!.reason).toMatch(/cycle: .*pull-box → rear-mount-off/)
  })
  it('a ledger that does not balance', () => {
    const problems = problemsOf(yaml => yaml.replace('putsBack: { drain-plug: 1 }', 'skill: Push it home.'))
    expect(problems).toContainEqual(
      expect.objectContaining({
        path: 'modules[gear-oil].items[drain-plug]',
        reason: '1 taken off and never put back',
      }),
    )
  })
  it('a word that the term table lacks', () => {
    expect(problemsOf(yaml => yaml.replace('{transmission}', '{gearcase}'))[0]!.reason).toBe(
      'the term table has no "{gearcase}"',
    )
  })
  it('a key that the format does not know', () => {
    expect(
      problemsOf(yaml => yaml.replace(/\n( +)phase: strip/, '\n$1phase: strip\n$1colour: red'))[0]!.reason,
    ).toContain('"colour"')
  })
})
