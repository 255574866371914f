import { startWrench } from './server'

const wrench = await startWrench({
  port: Number(process.env.WRENCH_PORT ?? 3377),
  seed: Number(process.env.WRENCH_SEED ?? Date.now() % 1e9),
})
console.log(
  `eldrin: simulated wrench on http://127.0.0.1:${wrench.port}/, speaks on ws://127.0.0.1:${wrench.port}/wrench`,
)
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => void wrench.close().then(() => process.exit(0)))
