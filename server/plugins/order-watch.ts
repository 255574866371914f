import { watchOrders } from '../order-watch'
import { numberSetting } from '../setting'
import { askSupplier, useSupplier } from '../utils/supplier'

const USUAL_SECONDS = 60

/** Asks after open orders from time to time, so that a part that is late moves the finish without anybody looking. */
export default defineNitroPlugin(nitro => {
  if (import.meta.prerender || !useSupplier()) return
  const seconds = numberSetting('ELDRIN_ORDER_WATCH_SECONDS', USUAL_SECONDS, 1)
  let asking = false
  const timer = setInterval(() => {
    if (asking) return
    asking = true
    watchOrders(useDatabase().db, askSupplier)
      .catch((error: unknown) => console.error(`Orders could not be asked after. ${(error as Error).message}`))
      .finally(() => {
        asking = false
      })
  }, seconds * 1000)
  nitro.hooks.hook('close', () => clearInterval(timer))
})
