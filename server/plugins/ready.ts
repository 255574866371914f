import { warmUp } from '../apart'
import { schemaFault, schemaWords } from '../db/own-schema'
import { PackFileError } from '../load-packs'
import { useShelf } from '../utils/shelf'

/** A server that cannot read its packs, or whose records are not as it knows them, does not start. */
export default defineNitroPlugin(() => {
  if (import.meta.prerender) return
  try {
    useShelf()
  } catch (error) {
    if (!(error instanceof PackFileError)) throw error
    refuseToStart(error.message)
  }
  warmUp()
  wantOwnSchema()
})

const AGAIN_MS = 2_000

/** Records that cannot be reached yet may come: the server is not ready until then, and looks at them when they do. */
function wantOwnSchema(): void {
  schemaFault(useDatabase().db).then(
    fault => fault && refuseToStart(schemaWords[fault]),
    () => setTimeout(wantOwnSchema, AGAIN_MS).unref(),
  )
}

function refuseToStart(reason: string): never {
  console.error(`Eldrin does not start. ${reason}`)
  process.exit(1)
}
