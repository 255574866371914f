import { warmUp } from '../apart'
import { schemaFault, schemaWords } from '../db/own-schema'
import { PackFileError } from '../load-packs'
import { useShelf } from '../utils/shelf'
import { isDemo } from '../who/asker'

/** A server that cannot read its packs, or whose records are not as it knows them, does not start. */
export default defineNitroPlugin(() => {
  if (import.meta.prerender) return
  if (isDemo() && process.env.ELDRIN_PRODUCTION === '1')
    refuseToStart('The demo lets everybody in; a garage’s own server does not know it. Take ELDRIN_DEMO away.')
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
