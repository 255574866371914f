import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { parentPort, workerData, Worker } from 'node:worker_threads'

/**
 * Somebody else, in a thread of their own, who asks for something small all the while, and looks how long the server's one thread that
 * answers ran meanwhile: what it ran is what it did for others first. Beside it a server that has nothing to do is asked, which shows
 * what the machine itself holds up.
 */
if (workerData.idle)
  createServer((_request, response) => response.end('{}')).listen(0, '127.0.0.1', function () {
    parentPort.postMessage(this.address().port)
  })
else {
  const idle = new Worker(new URL(import.meta.url), { workerData: { idle: true } })
  const port = await new Promise(resolve => idle.once('message', resolve))
  let watching = true
  parentPort.on('message', () => {
    watching = false
  })
  // Of a thread, Linux tells how long it ran, in ns.
  const ranMs = () =>
    Number(readFileSync(`/proc/${workerData.pid}/task/${workerData.pid}/schedstat`, 'utf8').split(' ')[0]) / 1e6
  const ask = async url => {
    const [at, ran] = [performance.now(), ranMs()]
    await fetch(url).then(response => response.arrayBuffer())
    return { tookMs: performance.now() - at, ranMs: ranMs() - ran }
  }
  const [waits, beside] = [[], []]
  while (watching) {
    waits.push(await ask(`${workerData.base}/api/clock`))
    beside.push(await ask(`http://127.0.0.1:${port}/`))
    await new Promise(resolve => setTimeout(resolve, 15))
  }
  parentPort.postMessage({ waits, beside })
  await idle.terminate()
  parentPort.close()
}
