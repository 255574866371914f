import { warmUp } from '../apart'
import { schemaFault } from '../db/own-schema'
import { PackFileError } from '../load-packs'
import { useShelf } from '../utils/shelf'

/** A server that cannot read its packs, or whose records are not as it knows them, does not start. */
export default defineNitroPlugin(() => {
  if (import.meta.prerender) return
  try {
    useShelf()
  }
  catch (error) {
    if (!(error instanceof PackFileError)) throw error
    refuseToStart(error.message)
  }
  warmUp()
  // Records that cannot be reached yet may come: the server waits for them, and is not ready.
  schemaFault(useDatabase().db).then(fault => fault && refuseToStart(fault), () => {})
})

function refuseToStart(reason: string): never {
  console.error(`Eldrin does not start. ${reason}`)
  process.exit(1)
}
