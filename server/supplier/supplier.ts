import type { OrderAnswer, QuotesAnswer } from '../../contracts/supplier'

/** Where parts come from. Another supplier is another implementation; nothing else of Eldrin knows which one it is. */
export interface PartsSupplier {
  /** Price, stock and day of each part for a car; parts it does not sell are left out. */
  quotes: (car: string, partIds: string[]) => Promise<QuotesAnswer>
  /** Orders a part. The key makes the same order asked twice one order. */
  order: (key: string, car: string, partId: string, count: number) => Promise<OrderAnswer>
  /** How an order stands. */
  state: (orderNo: string) => Promise<OrderAnswer>
}

/** The supplier said no; or it did not answer, not in time, or not in a way that can be read, and nobody knows what it did. */
export class SupplierError extends Error {
  override name = 'SupplierError'
  constructor(
    message: string,
    readonly saidNo: boolean,
    /** 409 where it does not take this order, 503 where it takes none or is silent. */ readonly status:
      409 | 503 = 503,
  ) {
    super(message)
  }
}
