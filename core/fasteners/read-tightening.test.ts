import { describe, expect, it } from 'vitest'
import { readTightening } from './read-tightening'
import type { TighteningSample } from './tightening-curve'

const TARGET = 24

/** A clean curve: so far run down at a torque, then a slope up to the target, changed as told. */
function curve({
  runDeg = 720,
  runNm = 0.6,
  slope = 0.4,
  yieldNm = Infinity,
  dropAtNm = Infinity,
  tailDeg = 40,
} = {}): TighteningSample[] {
  const samples: TighteningSample[] = []
  let after = 0
  for (let angleDeg = 0; angleDeg < runDeg + 400; angleDeg++) {
    let torqueNm = runNm + Math.max(0, angleDeg - runDeg) * slope
    if (torqueNm > yieldNm) torqueNm = yieldNm
    if (torqueNm > dropAtNm) torqueNm = dropAtNm * 0.4
    samples.push({ angleDeg, torqueNm })
    if (torqueNm >= TARGET) break
    if (torqueNm === yieldNm || torqueNm === dropAtNm * 0.4) after++
    if (after > tailDeg) break
  }
  return samples
}
const siblings = [curve(), curve({ runDeg: 732, slope: 0.42 }), curve({ runDeg: 705, slope: 0.37 })]
const read = (samples: TighteningSample[], known = siblings) =>
  readTightening(samples, { targetNm: TARGET, siblings: known })

describe('readTightening', () => {
  it('calls a bolt good that reached its target like its siblings, and like none', () => {
    expect(read(curve({ runDeg: 714 })).verdict).toBe('good')
    expect(read(curve(), []).verdict).toBe('good')
  })
  it('says nothing of a bolt that is still on its way', () => {
    for (const until of [1, 200, 719, 750])
      expect(read(curve().slice(0, until))).toMatchObject({ verdict: null, atAngleDeg: null })
    expect(read([]).verdict).toBeNull()
  })
  it('takes a record that ends within the reading of its wrench for one that got there', () => {
    const short = curve().filter(sample => sample.torqueNm < TARGET * 0.992)
    expect(read(short).verdict).toBe('good')
    expect(read(short.filter(sample => sample.torqueNm < TARGET * 0.96)).verdict).toBeNull()
    expect(read(curve({ runDeg: 430 }).filter(sample => sample.torqueNm < TARGET * 0.992)).verdict).toBe('early')
  })
  it('feels a thread that runs heavy', () => {
    expect(read(curve({ runNm: 6 }))).toMatchObject({ verdict: 'drag' })
    expect(read(curve({ runNm: 6 }), []).verdict).toBe('drag')
    expect(read(curve({ runNm: 6 })).atAngleDeg).toBeLessThan(120)
  })
  it('feels a bolt that is tight too early', () => {
    const reading = read(curve({ runDeg: 430, slope: 0.6 }))
    expect(reading.verdict).toBe('early')
    expect(reading.because).toMatch(/before the others/)
    expect(reading.atAngleDeg).toBeLessThan(430 + TARGET / 0.6)
  })
  it('feels a soft joint', () => {
    expect(read(curve({ slope: 0.15 })).verdict).toBe('soft')
    expect(read(curve({ slope: 0.07 }), []).verdict).toBe('soft')
  })
  it('sees yield before two in a hundred of the angle more has passed, and not before its time', () => {
    const bent = 720 + (15 - 0.6) / 0.4
    for (const known of [siblings, []]) {
      const reading = read(curve({ yieldNm: 15 }), known)
      expect(reading.verdict).toBe('yielding')
      expect(reading.atAngleDeg).toBeGreaterThan(bent)
      expect(reading.atAngleDeg).toBeLessThan(bent * 1.02)
    }
  })
  it('sees a bolt that lets go, also after it has yielded', () => {
    expect(read(curve({ dropAtNm: 16 })).verdict).toBe('gave-way')
    const yielded = curve({ yieldNm: 15, tailDeg: 20 })
    expect(read(yielded).verdict).toBe('yielding')
    const last = yielded.at(-1)!.angleDeg
    const gone = [...yielded, ...[9, 6, 4, 3].map((torqueNm, index) => ({ angleDeg: last + 1 + index, torqueNm }))]
    expect(read(gone)).toMatchObject({ verdict: 'gave-way' })
  })
  it('sees a bolt that never bites', () => {
    expect(read(curve({ runDeg: 1500 })).verdict).toBe('gave-way')
  })
  it('is not fooled by a single spike', () => {
    const samples = curve().map(sample => (sample.angleDeg === 300 ? { ...sample, torqueNm: 23 } : sample))
    expect(read(samples).verdict).toBe('good')
  })
  it('never takes back what a shorter record said', () => {
    const samples = curve({ yieldNm: 15 })
    const whole = read(samples)
    const first = samples.findIndex((_, index) => read(samples.slice(0, index + 1)).verdict !== null)
    expect(samples[first]!.angleDeg).toBe(whole.atAngleDeg)
  })
  it('refuses samples that are none', () => {
    expect(() => read([{ angleDeg: 0, torqueNm: Number.NaN }])).toThrow('samples[0]')
    expect(() =>
      read([
        { angleDeg: 5, torqueNm: 1 },
        { angleDeg: 4, torqueNm: 1 },
      ]),
    ).toThrow('samples[1].angleDeg')
    expect(() => readTightening([], { targetNm: -3 })).toThrow('joint.targetNm')
    expect(() => readTightening([], { targetNm: 3, siblings: [[{ angleDeg: 0, torqueNm: Infinity }]] })).toThrow(
      'joint.siblings[0][0]',
    )
  })
})
