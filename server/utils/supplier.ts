import { Refused, SupplierRefused } from '../refused'
import { httpSupplier } from '../supplier/http-supplier'
import { SupplierError } from '../supplier/supplier'
import type { PartsSupplier } from '../supplier/supplier'

/** The supplier of this installation, or `null` where none is set up. */
export function useSupplier(): PartsSupplier | null {
  const base = process.env.ELDRIN_SUPPLIER_URL
  return base ? httpSupplier(base.endsWith('/') ? base : `${base}/`) : null
}

/**
 * Asks the supplier. What goes wrong there reaches the caller as a refusal with its reason.
 * @throws Refused 503
 */
export async function askSupplier<T>(ask: (supplier: PartsSupplier) => Promise<T>): Promise<T> {
  const supplier = useSupplier()
  if (!supplier)
    throw new Refused(503, [
      { path: 'supplier', reason: 'No supplier is set up here. Prices and days can be entered by hand.' },
    ])
  try {
    return await ask(supplier)
  } catch (error) {
    if (error instanceof SupplierError) throw new SupplierRefused(error)
    throw error
  }
}
