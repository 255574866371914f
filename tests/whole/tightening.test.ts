import { describe, expect, it } from 'vitest'
import { fasteners } from '../../core'
import { disturbances } from '../../stand-ins/wrench/disturbances'
import { rightCalls, simulatedBolts } from '../support/simulated-bolts'

/**
 * Bolts of the simulated wrench, whose joint model knows nothing of the reading. The whole ten thousand are the
 * benchmark's (`npm run perf:tightening`); here a tenth of them guards the goals.
 */
describe('reading of a tightening', () => {
  const read = [...simulatedBolts(600, 7, { siblings: [3, 3] })].map(bolt => ({
    bolt,
    reading: fasteners.readTightening(bolt.samples, bolt),
  }))
  const sound = read.filter(({ bolt }) => bolt.fault === 'none')
  const faulty = read.filter(({ bolt }) => bolt.fault !== 'none')

  it('calls at least 98 of 100 faults by their name', () => {
    const right = faulty.filter(({ bolt, reading }) => rightCalls[bolt.fault].includes(reading.verdict ?? ''))
    expect(right.length / faulty.length).toBeGreaterThanOrEqual(0.98)
  })
  it('stops fewer than 1 sound bolt in 200', () => {
    const stopped = sound.filter(({ reading }) => reading.verdict !== 'good')
    expect(stopped.length / sound.length).toBeLessThan(0.005)
  })
  it('sees yield before 2 % more angle has passed, or ten degrees, for 98 of 100', () => {
    const yielding = [...simulatedBolts(200, 11, { siblings: [3, 3], wrong: ['yielding'] })].filter(
      bolt => bolt.fault === 'yielding',
    )
    const soon = yielding.filter(bolt => {
      const { verdict, atAngleDeg } = fasteners.readTightening(bolt.samples, bolt)
      const allowedDeg = Math.max(bolt.yieldedAtDeg! * 0.02, 10)
      return (
        verdict === 'yielding' && atAngleDeg! >= bolt.yieldedAtDeg! && atAngleDeg! < bolt.yieldedAtDeg! + allowedDeg
      )
    })
    expect(soon.length / yielding.length).toBeGreaterThanOrEqual(0.98)
  })
  it.each(disturbances)('stops fewer than 1 sound bolt in 50 under %s', name => {
    const bolts = [...simulatedBolts(100, 23, { siblings: [3, 3], disturbed: [name], wrong: ['none'] })]
    const wrong = bolts
      .map(bolt => fasteners.readTightening(bolt.samples, bolt))
      .filter(({ verdict }) => verdict !== 'good' && verdict !== null)
    expect(wrong.length / bolts.length).toBeLessThan(0.02)
  })
})

describe('what a real wrench says', () => {
  const [bolt] = [...simulatedBolts(1, 5, { siblings: [3, 3] })]
  const { samples, targetNm, siblings } = bolt!
  const read = (record: fasteners.TighteningSample[]) =>
    fasteners.readTightening(record, { targetNm, siblings }).verdict
  it('with one reading that is 15 % low, anywhere in the rise, is good', () => {
    const rise = samples.findIndex(({ torqueNm }) => torqueNm > 0.3 * targetNm)
    for (let low = rise; low < samples.length - 1; low++)
      expect(read(samples.map((at, index) => (index === low ? { ...at, torqueNm: at.torqueNm * 0.85 } : at)))).toBe(
        'good',
      )
  })
  it('with a swing that ends anywhere in the rise is good, and the angle goes on where the bolt was left', () => {
    const rise = samples.findIndex(({ torqueNm }) => torqueNm > 0.3 * targetNm)
    for (let end = rise; end < samples.length - 2; end += 3) {
      const { angleDeg, torqueNm } = samples[end]!
      const windUp = [0, 0.2, 0.4, 0.6, 0.8, 0.97].map((share, step) => ({
        angleDeg: angleDeg + step,
        torqueNm: torqueNm * share,
      }))
      const rest = samples.slice(end + 1).map(at => ({ ...at, angleDeg: at.angleDeg + windUp.length - 1 }))
      expect(read([...samples.slice(0, end + 1), ...windUp, ...rest])).toBe('good')
    }
  })
  it('is not heard between two swings, and is said so', () => {
    const reader = fasteners.tighteningReader({ targetNm, siblings })
    const half = samples.findIndex(({ torqueNm }) => torqueNm > 0.5 * targetNm)
    for (const at of samples.slice(0, half)) reader.add(at)
    reader.release()
    expect(reader.reading).toMatchObject({ verdict: null, because: expect.stringContaining('let go') })
    const last = samples[half - 1]!
    for (let step = 0; step < 12; step++) reader.add({ angleDeg: last.angleDeg + step, torqueNm: 0.2 })
    expect(reader.reading.verdict).toBeNull()
    for (const at of samples.slice(half)) reader.add({ ...at, angleDeg: at.angleDeg + 12 })
    expect(reader.finish().verdict).toBe('good')
  })
})
