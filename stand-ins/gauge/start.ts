import { startGauge } from './server'

const gauge = await startGauge({
  port: Number(process.env.GAUGE_PORT ?? 3378),
  seed: Number(process.env.GAUGE_SEED ?? Date.now() % 1e9),
})
console.log(
  `eldrin: simulated dial gauge on http://127.0.0.1:${gauge.port}/, speaks on ws://127.0.0.1:${gauge.port}/gauge`,
)
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => void gauge.close().then(() => process.exit(0)))
