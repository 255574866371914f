import { apart } from '../../apart'

/** Takes a job file in: read, replayed and written in a process of its own, since it may be large. */
export default defineRoute(async event => {
  const bytes = await readBytes(event, largest.jobFile)
  return apart('take-job-file', {
    bytes: new Uint8Array(bytes),
    garageId: sessionGarage(),
    databaseUrl: process.env.DATABASE_URL!,
  })
})
