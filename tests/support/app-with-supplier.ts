import { startSupplier } from '../../stand-ins/supplier/server'
import { startApp } from './app'
import type { RunningApp } from './app'
import { freshDatabase } from './database'
import type { TestDatabase } from './database'

export interface AppWithSupplier {
  database: TestDatabase
  app: RunningApp
  supplier: Awaited<ReturnType<typeof startSupplier>>
  /** Where the simulated parts supplier is held by hand. */
  supplierUrl: string
  end: () => Promise<void>
}

/** The built application on a database of its own, with a parts supplier of its own that it asks after orders when the test says. */
export async function startAppWithSupplier({
  watchSeconds = 3600,
  env = {},
}: { watchSeconds?: number; env?: Record<string, string> } = {}): Promise<AppWithSupplier> {
  const database = await freshDatabase()
  const supplier = await startSupplier({ port: 0, seed: 7 })
  const supplierUrl = `http://127.0.0.1:${supplier.port}`
  const app = await startApp(database.url, undefined, {
    ELDRIN_SUPPLIER_URL: supplierUrl,
    ELDRIN_ORDER_WATCH_SECONDS: String(watchSeconds),
    ...env,
  })
  return {
    database,
    app,
    supplier,
    supplierUrl,
    async end() {
      await app.kill()
      await supplier.close()
      await database.drop()
    },
  }
}
