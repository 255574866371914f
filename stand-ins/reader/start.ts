import { startReader } from './server'

const reader = await startReader({
  port: Number(process.env.READER_PORT ?? 3379),
  seed: Number(process.env.READER_SEED ?? Date.now() % 1e9),
})
console.log(
  `eldrin: simulated controller reader on http://127.0.0.1:${reader.port}/, speaks on ws://127.0.0.1:${reader.port}/reader`,
)
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => void reader.close().then(() => process.exit(0)))
