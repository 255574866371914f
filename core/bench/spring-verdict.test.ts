import { describe, expect, it } from 'vitest'
import type { SpringFacts } from './match-springs'
import { springVerdict } from './spring-verdict'

const pockets: SpringFacts[] = [
  { id: 'k1', wireMm: 1, coilDiameterMm: 8, activeCoils: 9, freeLengthMm: 28 },
  { id: 'k2', wireMm: 1.4, coilDiameterMm: 11, activeCoils: 7, freeLengthMm: 35 },
]
const [own] = pockets as [SpringFacts, SpringFacts]
const verdictOf = (change: Partial<SpringFacts>) => springVerdict(own, { ...own, id: 'x', ...change }, pockets)

describe('springVerdict', () => {
  it('is the same within what springs differ by', () => {
    expect(verdictOf({ freeLengthMm: 27.6 })).toMatchObject({ verdict: 'same', pocket: null })
  })
  it('is softer with a thinner wire: a tenth thinner is a third softer, by d⁴', () => {
    const found = verdictOf({ wireMm: 0.9 })
    expect(found.verdict).toBe('softer')
    expect(found.rateNmm! / found.wantedNmm!).toBeCloseTo(0.9 ** 4, 9)
  })
  it('is stiffer with a turn less', () => {
    expect(verdictOf({ activeCoils: 7.5 }).verdict).toBe('stiffer')
  })
  it('has set where it is shorter than its sheet', () => {
    expect(verdictOf({ freeLengthMm: 25.8 }).verdict).toBe('shorter')
  })
  it('belongs to another pocket where it is that one to the hundredth', () => {
    expect(springVerdict(own, { ...pockets[1]!, id: 'x' }, pockets)).toMatchObject({
      verdict: 'other-pocket',
      pocket: 'k2',
    })
  })
  it('says so where nothing can be compared', () => {
    expect(springVerdict({ id: 'k3' }, { id: 'x', freeLengthMm: 20 }, [{ id: 'k3' }]).verdict).toBe('unknown')
  })
})
