import { schemaFault, schemaWords } from '../db/own-schema'
import { Refused } from '../refused'

/** Whether requests can be answered: the records are there, and as this server knows them. */
export default defineRoute(async () => {
  const fault = await schemaFault(useDatabase().db)
  if (fault) throw new Refused(503, [{ path: 'schema', reason: schemaWords[fault] }])
  return { ready: true }
})
