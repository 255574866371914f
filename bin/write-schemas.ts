/** Writes the published JSON Schemas of pack files and job files from their Zod schemas. */
import { writeFileSync } from 'node:fs'
import { jobSchema } from '../contracts/job-schema'
import { packSchema } from '../contracts/pack-schema'

for (const [name, schema] of [['pack', packSchema()], ['job', jobSchema()]] as const) {
  writeFileSync(new URL(`../docs/formats/${name}.schema.json`, import.meta.url), `${JSON.stringify(schema, null, 2)}\n`)
}
