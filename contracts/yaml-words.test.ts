import { describe, expect, it } from 'vitest'
import { readPack } from './read-pack'

const first = (text: string) => readPack(text, {}).problems[0]!

describe('a layout that cannot be read', () => {
  it('says so in sentences, at its line', () => {
    expect(first('id: a\nid: b\n')).toMatchObject({ line: 2, reason: 'This name stands twice in the same entry.' })
    expect(first("tools:\n  - id: a\n    name: 'Bar\n")).toMatchObject({
      reason: 'A comma, quote, bracket or space is missing here.',
    })
    expect(first('a:\n\t- b\n').reason).toBe('A tab stands before this line. Use blanks.')
  })
  it('says what is missing, wrong or unknown in sentences', () => {
    const reasons = readPack('id: 7\ntitle: T\nweather: wet\n', {}).problems.map(
      problem => `${problem.path}: ${problem.reason}`,
    )
    expect(reasons).toContain('id: Words are wanted here.')
    expect(reasons).toContain('modules: This is missing.')
    expect(reasons.find(reason => reason.includes('weather'))).toContain('Nothing here is called "weather".')
    for (const reason of reasons) expect(reason).not.toMatch(/expected|received|Invalid|Unrecognized|NaN/)
  })
})
