import { hearLetIn } from '../device/let-in'
import { contractHeaders, hearContract } from '../device/version-gap'

/** Every request says which Eldrin asks, and every answer whether it was understood, and whether this device is let in. */
export default defineNuxtPlugin(() => {
  const pinia = usePinia()
  globalThis.$fetch = globalThis.$fetch.create({
    headers: contractHeaders,
    onResponse: ({ response }) => {
      hearContract(response)
      hearLetIn(useGarageStore(pinia), response)
    },
  })
})
