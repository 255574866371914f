import { apart } from '../../apart'
import { IMPORTS, takeOwnTry } from '../../who/limits'

/** Takes a job file in: read, replayed and written in a process of its own, since it may be large. */
export default defineRoute('work', async event => {
  await takeOwnTry(event, IMPORTS)
  const { garageId, role } = await askerOf(event)
  const bytes = await readBytes(event, largest.jobFile)
  return apart('take-job-file', {
    bytes: new Uint8Array(bytes),
    garageId,
    role,
    databaseUrl: process.env.DATABASE_URL!,
  })
})
