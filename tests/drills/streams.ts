import { Agent, get } from 'node:http'
import type { IncomingMessage } from 'node:http'
import { readFileSync } from 'node:fs'
import { connect } from 'node:net'
import type { RunningApp } from '../support/app'
import { incoming } from '../support/requests'
import { openJobs, pause } from './devices'

export interface StreamsDrill {
  streams: number
  events: number
  /** From the posting of an event until half, 99 in 100 and all of the open Yards knew of it, in ms. */
  heardMs: [half: number, most: number, last: number]
  /** Yards that did not hear of every event. */
  stale: number
  /** Memory of the server in MB: with all streams open, and at the end. */
  memoryMb: [start: number, end: number]
}

/** Opens Yards, posts at a pace, and measures when each hears of it. */
export async function streamsDrill(
  app: RunningApp,
  { streams, seconds, everyMs = 500 }: { streams: number; seconds: number; everyMs?: number },
): Promise<StreamsDrill> {
  const [jobId] = await openJobs(app.base, 1)
  const agent = new Agent({ maxSockets: Infinity })
  const heard = new Map<number, number[]>()
  const last = Array.from({ length: streams }, () => 0)
  const open: IncomingMessage[] = []
  const listen = (index: number) =>
    new Promise<void>((resolve, reject) => {
      get(`${app.base}/api/stream`, { agent }, response => {
        open.push(response)
        let left = ''
        response.on('data', (chunk: Buffer) => {
          left += chunk.toString()
          const lines = left.split('\n')
          left = lines.pop()!
          for (const line of lines) {
            const seq = /"seq":(\d+)/.exec(line)?.[1]
            if (!seq || !line.includes(jobId!)) continue
            last[index] = Number(seq)
            heard.get(Number(seq))?.push(performance.now())
          }
        })
        response.once('data', () => resolve())
      }).on('error', reject)
    })
  // A hundred at a time: a thousand at once is another trial.
  for (let from = 0; from < streams; from += 100)
    await Promise.all(Array.from({ length: Math.min(100, streams - from) }, (_, index) => listen(from + index)))
  await pause(1_500)
  const begun = memoryMb(app)
  const posted = new Map<number, number>()
  let seq = 0
  for (let count = 0; count < (seconds * 1000) / everyMs; count++) {
    const due = performance.now() + everyMs
    const answer = await fetch(`${app.base}/api/jobs/${jobId}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events: [incoming('note-added', { stepId: null, text: `note ${count}` })] }),
    })
    const at = performance.now()
    const { accepted } = (await answer.json()) as { accepted: { seq: number }[] }
    seq = accepted[0]!.seq
    posted.set(seq, at)
    heard.set(seq, heard.get(seq) ?? [])
    await pause(Math.max(0, due - performance.now()))
  }
  for (let waited = 0; waited < 300 && last.some(each => each < seq); waited++) await pause(100)
  const waits = [...posted]
    .flatMap(([of, at]) => heard.get(of)!.map(then => Math.max(0, then - at)))
    .sort((a, b) => a - b)
  const ended = memoryMb(app)
  for (const response of open) response.destroy()
  agent.destroy()
  return {
    streams,
    events: posted.size,
    heardMs: [waits[Math.floor(waits.length / 2)] ?? 0, waits[Math.floor(waits.length * 0.99)] ?? 0, waits.at(-1) ?? 0],
    stale: last.filter(each => each < seq).length,
    memoryMb: [begun, ended],
  }
}

/**
 * A client that asks for a job's log as a stream and reads nothing of it.
 * @returns how much more memory the server holds while it is there, in MB, and whether it was let go
 */
export async function unreadStream(app: RunningApp, notes: number): Promise<{ grewMb: number; letGo: boolean }> {
  const [jobId] = await openJobs(app.base, 1)
  const { hostname, port } = new URL(app.base)
  const line = connect(Number(port), hostname)
  line.write(`GET /api/jobs/${jobId}/stream?after=0 HTTP/1.1\r\nhost: ${hostname}\r\n\r\n`)
  line.once('data', () => line.pause())
  await pause(1_000)
  const before = memoryMb(app)
  let letGo = false
  line.on('close', () => {
    letGo = true
  })
  const text = 'x'.repeat(1_900)
  for (let count = 0; count < notes; count += 20)
    await fetch(`${app.base}/api/jobs/${jobId}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        events: Array.from({ length: 20 }, () => incoming('note-added', { stepId: null, text })),
      }),
    })
  const grewMb = memoryMb(app) - before
  // Whoever reads nothing for so long is let go; that is seen once what lies before it is read.
  await pause(25_000)
  line.resume()
  for (let waited = 0; waited < 100 && !letGo; waited++) await pause(100)
  line.destroy()
  return { grewMb, letGo }
}

/** What a process holds, in MB. */
function memoryMb({ process: { pid } }: RunningApp): number {
  const [, kb] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))!
  return Math.round(Number(kb) / 1000)
}
