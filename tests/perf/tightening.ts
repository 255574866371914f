import { readTightening } from '../../core/fasteners'
import { disturbances } from '../../stand-ins/wrench/disturbances'
import type { Disturbance } from '../../stand-ins/wrench/disturbances'
import { faults } from '../../stand-ins/wrench/joint-model'
import type { Fault } from '../../stand-ins/wrench/joint-model'
import { rightCalls, simulatedBolts } from '../support/simulated-bolts'

/**
 * How the reader of tightenings does on bolts of the simulated wrench: clean, under each disturbance, and under all at once.
 * BOLTS a row, SEED; ONLY names rows by their disturbance; SHOW=fault|verdict prints the bolts of one field.
 */
const BOLTS = Number(process.env.BOLTS ?? 10_000)
const SEED = Number(process.env.SEED ?? 20261125)
const ONLY = process.env.ONLY?.split(',')

interface Row {
  title: string
  disturbed: readonly Disturbance[]
  siblings: [number, number]
}
const rows: Row[] = [
  { title: 'clean', disturbed: [], siblings: [3, 3] },
  ...disturbances.map(name => ({ title: name, disturbed: [name], siblings: [3, 3] as [number, number] })),
  { title: 'all at once', disturbed: disturbances, siblings: [3, 3] },
  { title: 'clean, first of its group', disturbed: [], siblings: [0, 0] },
  { title: 'drawn, first of its group', disturbed: ['drawn'], siblings: [0, 0] },
]

const percent = (share: number) => `${(100 * share).toFixed(2)} %`
const at = (values: number[], share: number) => values[Math.floor(share * (values.length - 1))] ?? NaN

function run({ title, disturbed, siblings }: Row): void {
  const called = new Map<Fault, Map<string, number>>(faults.map(fault => [fault, new Map()]))
  const late: number[] = []
  let inTime = 0
  let yields = 0
  let milliseconds = 0
  for (const bolt of simulatedBolts(BOLTS, SEED, { siblings, disturbed })) {
    const from = performance.now()
    const { verdict, atAngleDeg, because } = readTightening(bolt.samples, bolt)
    milliseconds += performance.now() - from
    const word = verdict ?? 'open'
    called.get(bolt.fault)!.set(word, (called.get(bolt.fault)!.get(word) ?? 0) + 1)
    if (process.env.SHOW === `${bolt.fault}|${word}`)
      console.log(
        `  ${bolt.targetNm.toFixed(1)} N·m, run down ${bolt.rundownDeg.toFixed(0)}°, at ${atAngleDeg}°: ${because}`,
      )
    if (bolt.fault !== 'yielding' || verdict !== 'yielding') continue
    const afterDeg = atAngleDeg! - bolt.yieldedAtDeg!
    yields++
    late.push(afterDeg)
    if (afterDeg < Math.max(0.02 * bolt.yieldedAtDeg!, 10)) inTime++
  }
  const count = (fault: Fault, verdicts: readonly string[]) =>
    verdicts.reduce((sum, verdict) => sum + (called.get(fault)!.get(verdict) ?? 0), 0)
  const total = (fault: Fault) => [...called.get(fault)!.values()].reduce((sum, value) => sum + value, 0)
  const wrong = faults.filter(fault => fault !== 'none')
  const right = wrong.reduce((sum, fault) => sum + count(fault, rightCalls[fault]), 0)
  const all = wrong.reduce((sum, fault) => sum + total(fault), 0)
  const stopped = total('none') - count('none', ['good', 'open'])
  late.sort((a, b) => a - b)
  console.log(
    [
      title.padEnd(26),
      percent(right / all).padStart(9),
      percent(stopped / total('none')).padStart(9),
      percent(count('none', ['open']) / total('none')).padStart(9),
      percent(inTime / yields).padStart(9),
      `${at(late, 0.5).toFixed(1)}°`.padStart(7),
      `${at(late, 0.98).toFixed(1)}°`.padStart(7),
      `${(milliseconds / BOLTS).toFixed(2)} ms`.padStart(9),
    ].join('  '),
  )
  const missed = faults
    .flatMap(fault => [...called.get(fault)!].map(([word, times]) => ({ fault, word, times })))
    .filter(({ fault, word }) => !rightCalls[fault].includes(word))
    .sort((a, b) => b.times - a.times)
    .slice(0, 6)
    .map(({ fault, word, times }) => `${fault} as ${word} ${times}`)
  if (missed.length) console.log(`  ${missed.join(', ')}`)
}

console.log(`${BOLTS} bolts a row, every second of them sound`)
console.log(
  `${''.padEnd(26)}  ${['right', 'stopped', 'open', 'in time'].map(word => word.padStart(9)).join('  ')}  ${['half', '98 %'].map(word => word.padStart(7)).join('  ')}`,
)
for (const row of rows)
  if (!ONLY || ONLY.includes(row.title) || row.disturbed.some(name => ONLY.includes(name))) run(row)
