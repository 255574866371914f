import { TestLog } from '../support/job-log'
import { coverAndPart } from '../support/small-pack'
import { proveMerging } from './merge'

/** `npm run perf:merge`: random acts on up to four devices and the server, 10 000 times; ELDRIN_MERGE_RUNS and ELDRIN_MERGE_SEED change that. */
const runs = Number(process.env.ELDRIN_MERGE_RUNS ?? 10_000)
const seed = Number(process.env.ELDRIN_MERGE_SEED ?? Date.now() % 1_000_000)
const begun = performance.now()
const { acts, aside, events } = await proveMerging(TestLog.open(coverAndPart()).events, runs, seed)
console.log(
  `seed ${seed}: ${runs} runs of up to four devices, ${acts} acts, of which ${aside} were set aside; ${events} events in the logs; all in one state, none lost, none twice; ${Math.round((performance.now() - begun) / 1000)} s`,
)
