import { readTightening, tighteningVerdicts } from '../../core/fasteners'
import { faults } from '../../stand-ins/wrench/joint-model'
import { rightCalls, simulatedBolts } from '../support/simulated-bolts'

const BOLTS = Number(process.env.BOLTS ?? 10_000)
const SEED = Number(process.env.SEED ?? 20261125)

/** Judges simulated bolts and prints what was called what, and how soon yield was seen. */
function run(title: string, siblings: [number, number]): void {
  const table = new Map<string, number>()
  const late: number[] = []
  const caught: number[] = []
  let beforeBreak = 0
  let breaking = 0
  const started = performance.now()
  let read = 0
  for (const bolt of simulatedBolts(BOLTS, SEED, siblings)) {
    const from = performance.now()
    const reading = readTightening(bolt.samples, { targetNm: bolt.targetNm, siblings: bolt.siblings })
    read += performance.now() - from
    const key = `${bolt.fault}|${reading.verdict ?? 'open'}`
    table.set(key, (table.get(key) ?? 0) + 1)
    if (process.env.SHOW && process.env.SHOW.split(',').includes(key))
      console.log(
        key,
        bolt.targetNm.toFixed(1),
        'run',
        bolt.rundownDeg.toFixed(0),
        'sib',
        bolt.siblings.length,
        reading.atAngleDeg,
        reading.because,
        'n',
        bolt.samples.length,
      )
    if (bolt.fault === 'yielding' && reading.verdict === 'yielding') {
      late.push((reading.atAngleDeg! - bolt.yieldedAtDeg!) / bolt.yieldedAtDeg!)
      caught.push(reading.atAngleDeg! - bolt.yieldedAtDeg!)
    }
    if (bolt.fault === 'stripped' || bolt.fault === 'sheared') {
      breaking++
      const first = bolt.samples.findIndex(
        (_, index) =>
          index % 4 === 0 &&
          bolt.samples[index]!.angleDeg > bolt.yieldedAtDeg! &&
          readTightening(bolt.samples.slice(0, index + 1), { targetNm: bolt.targetNm, siblings: bolt.siblings })
            .verdict === 'yielding',
      )
      if (first >= 0) beforeBreak++
    }
  }
  const columns = [...tighteningVerdicts, 'open']
  console.log(`\n${title}: ${BOLTS} bolts`)
  console.log(
    ['', ...columns]
      .map(word => word.padEnd(10))
      .join('')
      .padStart(16),
  )
  let rightFaults = 0
  let allFaults = 0
  for (const fault of faults) {
    const counts = columns.map(verdict => table.get(`${fault}|${verdict}`) ?? 0)
    const total = counts.reduce((sum, count) => sum + count, 0)
    const right = columns.reduce(
      (sum, verdict, index) => sum + (rightCalls[fault].includes(verdict) ? counts[index]! : 0),
      0,
    )
    if (fault !== 'none') {
      rightFaults += right
      allFaults += total
    }
    console.log(
      fault.padEnd(16),
      counts.map(count => String(count || '·').padEnd(10)).join(''),
      `${((100 * right) / total).toFixed(1)} %`,
    )
  }
  const good = table.get('none|good') ?? 0
  const sound = [...table].filter(([key]) => key.startsWith('none|')).reduce((sum, [, count]) => sum + count, 0)
  late.sort((a, b) => a - b)
  caught.sort((a, b) => a - b)
  const at = (values: number[], share: number) => values[Math.floor(share * (values.length - 1))] ?? NaN
  console.log(
    `faults called right ${((100 * rightFaults) / allFaults).toFixed(2)} %   false stops ${((100 * (sound - good)) / sound).toFixed(2)} %`,
  )
  console.log(
    `yield seen after ${(100 * at(late, 0.5)).toFixed(2)} % more angle at the median, ${(100 * at(late, 0.98)).toFixed(2)} % for 98 of 100 (${at(caught, 0.5).toFixed(1)}° and ${at(caught, 0.98).toFixed(1)}°), before 2 % for ${((100 * late.filter(share => share < 0.02).length) / late.length).toFixed(1)} %; before its place: ${late.filter(share => share < 0).length}`,
  )
  console.log(
    `of the bolts that strip or shear, ${((100 * beforeBreak) / breaking).toFixed(1)} % were stopped as yielding before they did`,
  )
  console.log(`${(read / BOLTS).toFixed(2)} ms a bolt; ${((performance.now() - started) / 1000).toFixed(0)} s in all`)
}

if (process.env.ONLY !== 'first') run('With one to seven siblings', [1, 7])
if (process.env.ONLY !== 'siblings') run('First bolt of its group, no sibling', [0, 0])
