import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { shelf } from '../../../tests/support/packs'
import type { SheetValues } from '../../bench'
import { badFindings } from '../views/bad-findings'
import { comparedOn } from '../views/compared'

const pack = shelf.packs.get('fwd-transverse')!
const number = (value: number) => ({ kind: 'number', entry: { entered: String(value), value } }) as const
const clutch = (clampN: number): SheetValues => ({
  clamp: number(clampN),
  outer: number(228),
  inner: number(150),
  faces: number(2),
  friction: number(0.3),
  fingers: number(3.5),
  lift: number(0.8),
})
const opened = () => {
  const log = TestLog.open(pack)
  log.add('sheet-read', {
    sheetId: 'capacity',
    values: { engine: number(180), mass: number(1500), ratio: number(14), tyre: number(310) },
    cleared: [],
  })
  return log
}
const lay = (log: TestLog, candidateId: string, values: SheetValues, name = candidateId) =>
  log.add('candidate-read', { sheetId: 'capacity', candidateId, name, values, cleared: [] })
const capacity = (log: TestLog) => log.state.procedure!.bench.sheets.find(sheet => sheet.id === 'capacity')!

describe('parts side by side', () => {
  it('are put through the sheet each with its own figures, and the chosen one is written into it', () => {
    const log = opened()
    lay(log, 'plain', clutch(5000))
    lay(log, 'weak', clutch(2800))
    lay(log, 'strong', clutch(7000))
    const found = comparedOn(log.state, capacity(log))
    expect(found.ranked.map(({ id, fits }) => [id, fits])).toEqual([
      ['plain', true],
      ['strong', true],
      ['weak', false],
    ])
    log.add('candidate-chosen', { sheetId: 'capacity', candidateId: found.advised!, because: found.because })
    expect(log.state.sheets['capacity']!.values).toMatchObject({ clamp: number(5000), engine: number(180) })
    log.add('undone', { eventId: log.events.at(-1)!.id })
    expect(log.state.sheets['capacity']!.values['clamp']).toBeUndefined()
    expect(log.state.chosenCandidates).toEqual({})
  })
  it('take more figures as they are read, and lose those that are emptied', () => {
    const log = opened()
    lay(log, 'plain', clutch(5000))
    log.add('candidate-read', {
      sheetId: 'capacity',
      candidateId: 'plain',
      name: 'plain',
      values: { iron: number(9) },
      cleared: ['lift'],
    })
    const [one] = log.state.candidates['capacity']!
    expect([one!.values['iron'], one!.values['lift'], one!.values['clamp']]).toEqual([
      number(9),
      undefined,
      number(5000),
    ])
    log.add('candidate-dropped', { sheetId: 'capacity', candidateId: 'plain' })
    expect(log.state.candidates['capacity']).toEqual([])
  })
  it('refuse a sheet that compares nothing, a field that is not theirs, a name twice, a fifth one, and one that does not lie there', () => {
    const log = opened()
    for (const id of ['a', 'b', 'c', 'd']) lay(log, id, clutch(5000))
    const read = { sheetId: 'capacity', candidateId: 'a', name: 'a', values: {}, cleared: [] }
    const refused = (type: 'candidate-read', payload: typeof read) => log.refusal(type, payload)
    expect(refused('candidate-read', { ...read, sheetId: 'disc' })).toMatch(/nothing side by side/)
    expect(refused('candidate-read', { ...read, values: { engine: number(1) } })).toMatch(/does not ask/)
    expect(refused('candidate-read', { ...read, name: 'b' })).toMatch(/called “b” already/)
    expect(refused('candidate-read', { ...read, candidateId: 'e', name: 'e' })).toMatch(/4 lie side by side/)
    expect(log.refusal('candidate-chosen', { sheetId: 'capacity', candidateId: 'x', because: 'x' })).toMatch(
      /not lie here/,
    )
    expect(log.refusal('candidate-dropped', { sheetId: 'capacity', candidateId: 'x' })).toMatch(/not lie here/)
  })
})

describe('cylinders of another bore', () => {
  const another = 'another bore or rod'
  const pedal: SheetValues = {
    linkage: { kind: 'choice', answer: 'hydraulic' },
    travel: number(145),
    ratio: number(6),
    master: number(19.05),
    slave: number(20.64),
    fork: number(2),
    fingers: number(3),
    load: number(1500),
  }
  it('are held until they are laid beside the old ones and fit', () => {
    const log = TestLog.open(pack, { slave: 'opened', master: 'renewed' })
    log.add('sheet-read', { sheetId: 'pedal-geometry', values: pedal, cleared: [] })
    log.add('reading-taken', { stepId: 'master-new', readingId: 'master-same', value: another, unit: null })
    const held = () => badFindings(log.state).find(finding => finding.answer === another)!
    expect(held().dealtWith).toBeNull()
    const put = (candidateId: string, bore: number) => {
      const values = { master: number(bore), slave: number(20.64), lost: number(0) }
      log.add('candidate-read', { sheetId: 'pedal-geometry', candidateId, name: candidateId, values, cleared: [] })
      log.add('candidate-chosen', { sheetId: 'pedal-geometry', candidateId, because: 'It came.' })
    }
    put('small', 10.5)
    expect(held().dealtWith).toBeNull()
    put('right', 19.05)
    expect(held().dealtWith).toBe('right was chosen side by side, and fits.')
  })
})
