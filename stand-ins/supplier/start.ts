import { startSupplier } from './server'

const offset = process.env.ELDRIN_DEMO_NOW ? Date.parse(process.env.ELDRIN_DEMO_NOW) - Date.now() : 0
const supplier = await startSupplier({
  port: Number(process.env.SUPPLIER_PORT ?? 3379),
  seed: Number(process.env.SUPPLIER_SEED ?? 7),
  now: () => Date.now() + offset,
})
console.log(`eldrin: simulated parts supplier on http://127.0.0.1:${supplier.port}/`)
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => void supplier.close().then(() => process.exit(0)))
