import { contractHeaders, hearContract } from '../device/version-gap'

/** Every request says which Eldrin asks, and every answer whether it was understood. */
export default defineNuxtPlugin(() => {
  globalThis.$fetch = globalThis.$fetch.create({
    headers: contractHeaders,
    onResponse: ({ response }) => hearContract(response),
  })
})
