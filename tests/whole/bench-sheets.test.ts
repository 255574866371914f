import { describe, expect, it } from 'vitest'
import { bench, packs } from '../../core'
import { Chance } from '../../stand-ins/chance'
import { fillIn } from '../support/filled-sheet'
import { shelf } from '../support/packs'

describe.each([...shelf.packs.keys()])('the bench of %s', id => {
  const pack = shelf.packs.get(id)!
  const procedure = packs.expandPack(pack)

  it('judges whatever is entered without failing, and never in silence', () => {
    for (const sheet of procedure.bench.sheets) {
      for (let seed = 1; seed <= 60; seed++) {
        const values = fillIn(sheet, new Chance(seed))
        const verdict = bench.judgeSheet(sheet, values)
        const said = verdict.findings.length + verdict.wanted.length + Object.keys(verdict.marks).length
        expect(said, `${sheet.id}, seed ${seed}`).toBeGreaterThan(0)
        for (const finding of verdict.findings) {
          expect(finding.sentence).not.toMatch(/NaN|undefined|Infinity/)
          expect(finding.working.join(' ')).not.toMatch(/NaN|undefined|Infinity/)
        }
      }
    }
  })
  it('asks nothing that does not apply: every sheet, orientation and old part belongs to a step of the job', () => {
    for (const options of [
      {},
      ...pack.options.flatMap(option => option.choices.map(choice => ({ [option.id]: choice.id }))),
    ]) {
      const here = packs.expandPack(pack, options)
      const present = new Set(here.operations.map(operation => operation.id))
      for (const sheet of here.bench.sheets)
        expect(
          sheet.steps.some(step => present.has(step)),
          sheet.id,
        ).toBe(true)
      for (const entry of here.bench.orientations)
        expect(
          [...entry.off, ...entry.back].every(step => present.has(step)),
          entry.id,
        ).toBe(true)
      for (const entry of here.bench.oldParts)
        expect(
          [...entry.off, ...entry.until].every(step => present.has(step)),
          entry.id,
        ).toBe(true)
      for (const field of here.bench.sheets.flatMap(sheet => sheet.fields)) expect(field.when).toEqual([])
    }
  })
  it('lets no old part go before the car has driven', () => {
    for (const part of procedure.bench.oldParts) expect(part.until, part.id).toContain('road-test')
  })
})

describe('sheets follow the options', () => {
  const sheets = (id: string, options: Record<string, string> = {}) =>
    packs.expandPack(shelf.packs.get(id)!, options).bench.sheets
  const layoutWith = (option: string) =>
    [...shelf.packs.values()].find(pack => pack.options.some(entry => entry.id === option))!.id
  it('two discs bring their own sheets', () => {
    const id = layoutWith('discs')
    expect(sheets(id, { discs: 'one' }).map(sheet => sheet.id)).not.toContain('two-plate')
    expect(sheets(id, { discs: 'two' }).map(sheet => sheet.id)).toEqual(expect.arrayContaining(['two-plate', 'hubs']))
  })
  it('a self-adjusting cover is asked whether it is caged, a plain one is not', () => {
    const asked = (cover: string) =>
      sheets(layoutWith('cover'), { cover })
        .find(sheet => sheet.id === 'cover')!
        .fields.some(field => field.id === 'adjuster')
    expect([asked('plain'), asked('self-adjusting')]).toEqual([false, true])
  })
  it('the depth of a new crank seal is asked only where one goes in', () => {
    const asked = (seal: string) =>
      sheets('fwd-transverse', { 'crank-seal': seal })
        .find(sheet => sheet.id === 'crank-seal')!
        .fields.some(field => field.id === 'depths')
    expect([asked('left'), asked('renewed'), asked('alone')]).toEqual([false, true, true])
  })
  it('a slave round the shaft has a gap to be set, a fork has none', () => {
    expect(sheets('rwd-concentric').map(sheet => sheet.id)).toContain('concentric')
    expect(sheets('rwd-longitudinal').map(sheet => sheet.id)).not.toContain('concentric')
  })
})
