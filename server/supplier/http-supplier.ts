import type { ZodType } from 'zod'
import { orderAnswer, quotesAnswer } from '../../contracts/supplier'
import { SupplierError } from './supplier'
import type { PartsSupplier } from './supplier'

/** Longer than this a mechanic does not wait. */
const PATIENCE_MS = 4000

/** A supplier that is asked over HTTP and answers in JSON, as the stand-in does. */
export function httpSupplier(base: string): PartsSupplier {
  async function ask<T>(schema: ZodType<T>, path: string, body?: object): Promise<T> {
    let response: Response
    try {
      // Nobody but who was named at the start is asked: not what a path makes of the address, nor where an answer sends one.
      const address = new URL(path, base)
      if (address.origin !== new URL(base).origin) throw new TypeError(`${address.origin} is not the supplier.`)
      response = await fetch(address, {
        redirect: 'error',
        signal: AbortSignal.timeout(PATIENCE_MS),
        ...(body
          ? { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }
          : {}),
      })
    } catch (error) {
      throw new SupplierError(
        (error as Error).name === 'TimeoutError'
          ? 'The supplier is slow today and did not answer in time.'
          : 'The supplier does not answer.',
        false,
      )
    }
    const answer: unknown = await response.json().catch(() => null)
    if (!response.ok)
      throw new SupplierError(
        (answer as { reason?: string } | null)?.reason
          ? `The supplier says: ${(answer as { reason: string }).reason}`
          : `The supplier refused (${response.status}).`,
        true,
        response.status < 500 ? 409 : 503,
      )
    const read = schema.safeParse(answer)
    if (!read.success) throw new SupplierError('The supplier’s answer cannot be read.', false)
    return read.data
  }
  return {
    quotes: (car, partIds) =>
      ask(quotesAnswer, `quotes?${new URLSearchParams({ car, parts: partIds.join(',') }).toString()}`),
    order: (key, car, partId, count) => ask(orderAnswer, 'orders', { key, car, partId, count }),
    state: orderNo => ask(orderAnswer, `orders/${encodeURIComponent(orderNo)}`),
  }
}
