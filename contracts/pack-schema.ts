import { z } from 'zod'
import { packFile } from './pack-file'

/** The JSON Schema (2020-12) of a pack file, as published in `docs/formats/pack.schema.json`. */
export function packSchema(): object {
  const schema = z.toJSONSchema(packFile, { io: 'input', target: 'draft-2020-12' })
  return {
    ...schema,
    title: 'Eldrin pack file',
    description:
      'One whole layout: operations, links with their because, options, items, facts. Cross references and the balance of the ledger are checked beyond this schema.',
  }
}
