import type { PasskeyLine } from '../../../contracts/who'
import { passkeysOf } from '../../db/queries/passkeys'

/** The passkeys of who signed this device in. */
export default defineRoute('signed-in', async (event): Promise<PasskeyLine[]> => {
  const { accountId } = await askerOf(event)
  const lines = accountId === null ? [] : await passkeysOf(useDatabase().db, accountId)
  return lines.map(line => ({ ...line, createdAt: line.createdAt.toISOString() }))
})
