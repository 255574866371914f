import { z } from 'zod'
import { jobFile } from './job-file'

/** The JSON Schema (2020-12) of a job file, as published in `docs/formats/job.schema.json`. */
export function jobSchema(): object {
  const schema = z.toJSONSchema(jobFile, { io: 'input', target: 'draft-2020-12', unrepresentable: 'any' })
  return {
    ...schema,
    title: 'Eldrin job file',
    description:
      'One job with its whole log, in order. That every event may stand where it stands is checked beyond this schema, by replaying the log.',
  }
}
