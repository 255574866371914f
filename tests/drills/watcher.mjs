import { createServer } from 'node:http'
import { parentPort, workerData, Worker } from 'node:worker_threads'

/**
 * Somebody else, in a thread of their own, who asks for something small all the while; and for each such answer one from a server
 * that has nothing to do, which shows what the machine itself holds up.
 */
if (workerData.idle) createServer((_request, response) => response.end('{}')).listen(0, '127.0.0.1', function () { parentPort.postMessage(this.address().port) })
else {
  const idle = new Worker(new URL(import.meta.url), { workerData: { idle: true } })
  const port = await new Promise(resolve => idle.once('message', resolve))
  const [waits, beside] = [[], []]
  let watching = true
  parentPort.on('message', () => { watching = false })
  const ask = async (url, into) => {
    const at = performance.now()
    await fetch(url).then(response => response.arrayBuffer())
    into.push(performance.now() - at)
  }
  while (watching) {
    await ask(`${workerData.base}/api/clock`, waits)
    await ask(`http://127.0.0.1:${port}/`, beside)
    await new Promise(resolve => setTimeout(resolve, 15))
  }
  parentPort.postMessage({ waits, beside })
  await idle.terminate()
  parentPort.close()
}
