/** Writes the published JSON Schema of a pack file from its Zod schema. */
import { writeFileSync } from 'node:fs'
import { packSchema } from '../contracts/pack-schema'

writeFileSync(new URL('../docs/formats/pack.schema.json', import.meta.url), `${JSON.stringify(packSchema(), null, 2)}\n`)
