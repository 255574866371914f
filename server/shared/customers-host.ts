/**
 * The name that customers' links lead to, where it is another than the garage's own: `ELDRIN_CUSTOMERS_HOST`, such as `car.example`.
 * Nothing but their pages is answered there.
 */
export const customersHost = (): string | null => process.env.ELDRIN_CUSTOMERS_HOST?.trim().toLowerCase() || null

/** What a customer's link begins with; `null` where that is the garage's own address. */
export const customersOrigin = (): string | null => (customersHost() ? `https://${customersHost()}` : null)

/** Whether something is answered under the customers' name: their pages, and what these are made of. */
export const isForCustomers = (path: string): boolean =>
  /^\/(?:s\/|shared\/|_nuxt\/|icons\/|icon\.svg|favicon\.ico|manifest\.webmanifest|service-worker\.js|health\/)/.test(
    path,
  )
