import { PackFileError } from '../load-packs'
import { useShelf } from '../utils/shelf'

/** A server that cannot read its packs does not start. */
export default defineNitroPlugin(() => {
  if (import.meta.prerender) return
  try {
    useShelf()
  }
  catch (error) {
    if (!(error instanceof PackFileError)) throw error
    console.error(`Eldrin does not start. ${error.message}`)
    process.exit(1)
  }
})
