/**
 * Writes what follows from elsewhere: the JSON Schemas of pack and job files, the table of events, and what the core keeps of the
 * ways of bleeding that ship.
 */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { eventTable } from '../contracts/event-table'
import { jobSchema } from '../contracts/job-schema'
import { packSchema } from '../contracts/pack-schema'
import { shippedWaysSource } from '../contracts/shipped-ways-source'

const format = (name: string) => new URL(`../docs/formats/${name}`, import.meta.url)

for (const [name, schema] of [
  ['pack', packSchema()],
  ['job', jobSchema()],
] as const) {
  writeFileSync(format(`${name}.schema.json`), `${JSON.stringify(schema, null, 2)}\n`)
}
const events = readFileSync(format('events.md'), 'utf8')
writeFileSync(
  format('events.md'),
  events.replace(
    /(<!-- table -->\n)[^]*?(<!-- end of table -->)/,
    (_, begin, end) => `${begin}${eventTable()}\n${end}`,
  ),
)
const ways = new URL('../packs/bleeding/', import.meta.url)
writeFileSync(
  new URL('../core/hydraulics/shipped-ways.ts', import.meta.url),
  shippedWaysSource(readdirSync(ways).map(name => readFileSync(new URL(name, ways), 'utf8'))),
)
