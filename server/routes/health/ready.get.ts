import { schemaFault, schemaWords } from '../../db/own-schema'
import { Refused } from '../../refused'
import { isDraining } from '../../seen/draining'

/** Whether requests can be answered: the records are there, and as this server knows them. Pages come from the device meanwhile. */
export default defineRoute('anyone', async () => {
  if (isDraining()) throw new Refused(503, [{ path: 'process', reason: 'This process stops.' }])
  const fault = await schemaFault(useDatabase().db)
  if (fault) throw new Refused(503, [{ path: 'schema', reason: schemaWords[fault] }])
  return { ready: true }
})
