/**
 * `npm run perf:odds`: does "eight in ten" come true? Two thousand simulated garages for each of four truths, one of which is the model's
 * own: from the defaults alone, and after twenty jobs. ELDRIN_GARAGES changes how many.
 */
import { coverageOf, truths } from '../support/garage-truth'

const garages = Number(process.env.ELDRIN_GARAGES ?? 2000)
const percent = (share: number) => `${(share * 100).toFixed(1)} in 100`.padStart(12)
let wrong = false
console.log(`${'truth'.padEnd(16)} ${'from defaults'.padStart(14)} ${'after 20 jobs'.padStart(14)}`)
for (const truth of truths) {
  const { defaults, learned } = coverageOf(truth, garages)
  wrong ||= defaults < 0.7 || defaults > 0.9 || learned < 0.76 || learned > 0.84
  console.log(`${truth.padEnd(16)} ${percent(defaults).padStart(14)} ${percent(learned).padStart(14)}`)
}
console.log(
  wrong
    ? 'Some of it does not come true as it is told.'
    : 'It comes true as it is told: 70 to 90 from defaults, 76 to 84 after.',
)
process.exitCode = wrong ? 1 : 0
