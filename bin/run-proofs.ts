/** What `bin/prove` does: docs/proofs.json names each long proof and holds when it was last run; docs/testing.md shows the same as a table. */
import { spawnSync } from 'node:child_process'
import { closeSync, openSync, readFileSync, writeFileSync } from 'node:fs'
import { loadavg } from 'node:os'
import { z } from 'zod'
import { markdownTable, replaceBetween } from './markdown-table'

const LIST = 'docs/proofs.json'
const PAGE = 'docs/testing.md'

const proof = z.strictObject({
  name: z.string(),
  /** What it shows, in so many words. */
  shows: z.string(),
  /** Where a short form of it stands in the tests. */
  short: z.string(),
  command: z.string(),
  last: z
    .strictObject({ on: z.string(), commit: z.string(), minutes: z.number(), load: z.number(), held: z.boolean() })
    .nullable(),
})
type Proof = z.infer<typeof proof>

/** Runs one; what it said stands in .data/proofs. */
function run({ name, command }: Proof): Proof['last'] {
  const log = openSync(`.data/proofs/${name}.log`, 'w')
  const load = loadavg()[0]!
  const begun = performance.now()
  const { status } = spawnSync('bash', ['-c', command], { stdio: ['ignore', log, log] })
  closeSync(log)
  return {
    on: new Date().toISOString().slice(0, 10),
    commit: spawnSync('git', ['rev-parse', '--short', 'HEAD'], { encoding: 'utf8' }).stdout.trim(),
    minutes: Math.round((performance.now() - begun) / 6_000) / 10,
    load: Math.round(load * 10) / 10,
    held: status === 0,
  }
}

const proofs = z.array(proof).parse(JSON.parse(readFileSync(LIST, 'utf8')))
const asked = process.argv.slice(2)
const unknown = asked.filter(name => name !== 'all' && !proofs.some(each => each.name === name))
if (unknown.length > 0) {
  console.error(`eldrin: no such proof: ${unknown.join(', ')}. There are: ${proofs.map(({ name }) => name).join(', ')}`)
  process.exit(2)
}

const wanted = (name: string) => asked.includes('all') || asked.includes(name)
for (const each of proofs.filter(({ name }) => wanted(name))) {
  console.log(`eldrin: ${each.name}: ${each.command}`)
  each.last = run(each)
  // Each is kept as it ends: the next one may take hours.
  writeFileSync(LIST, `${JSON.stringify(proofs, null, 2)}\n`)
}

const table = markdownTable(
  ['proof', 'shows', 'short form', 'last shown', 'minutes', 'load', 'held'],
  proofs.map(({ name, shows, short, last }) => [
    name,
    shows,
    short,
    last ? `${last.on}, ${last.commit}` : 'never by this command',
    last?.minutes ?? '',
    last?.load ?? '',
    last ? (last.held ? 'yes' : 'no') : '',
  ]),
)
console.log(table)
if (asked.length > 0) writeFileSync(PAGE, replaceBetween(readFileSync(PAGE, 'utf8'), 'proofs', table))
process.exit(proofs.some(({ name, last }) => wanted(name) && !last!.held) ? 1 : 0)
