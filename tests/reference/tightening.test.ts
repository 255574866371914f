import { describe, expect, it } from 'vitest'
import { fasteners } from '../../core'
import { rightCalls, simulatedBolts } from '../support/simulated-bolts'

/**
 * Bolts of the simulated wrench, whose joint model knows nothing of the reading. The whole ten thousand are the
 * benchmark's (`npm run perf:tightening`); here a tenth of them guards the goals.
 */
describe('reading of a tightening', () => {
  const read = [...simulatedBolts(1000, 7)].map(bolt => ({
    bolt,
    reading: fasteners.readTightening(bolt.samples, { targetNm: bolt.targetNm, siblings: bolt.siblings }),
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
  it('sees yield before 2 % more angle has passed, for 98 of 100', () => {
    const yielding = [...simulatedBolts(600, 11, [1, 7], ['yielding'])].filter(bolt => bolt.fault === 'yielding')
    const soon = yielding.filter(bolt => {
      const { verdict, atAngleDeg } = fasteners.readTightening(bolt.samples, {
        targetNm: bolt.targetNm,
        siblings: bolt.siblings,
      })
      return verdict === 'yielding' && atAngleDeg! >= bolt.yieldedAtDeg! && atAngleDeg! < bolt.yieldedAtDeg! * 1.02
    })
    expect(soon.length / yielding.length).toBeGreaterThanOrEqual(0.98)
  })
})
