import { parentPort, workerData } from 'node:worker_threads'

/** Somebody else, in a thread of their own, who asks for something small all the while. */
const waits = []
let watching = true
parentPort.on('message', () => { watching = false })
while (watching) {
  const at = performance.now()
  await fetch(`${workerData}/api/clock`).then(response => response.arrayBuffer())
  waits.push(performance.now() - at)
  await new Promise(resolve => setTimeout(resolve, 15))
}
parentPort.postMessage(waits)
parentPort.close()
