import { newJobRequest, personId } from '../support/requests'

/** What a drill counts of the devices that go on posting while something breaks. */
export interface Tally {
  /** Ids of events that the server said yes to. */ acknowledged: Map<string, string>
  asked: { at: number; good: boolean; tookMs: number }[]
}

/** Who a device signs as, and what it brings along. */
export interface As {
  personId: string
  deviceId?: string
  headers: Record<string, string>
}
/** The demo lets everybody in. */
const anybody: As = { personId, headers: {} }

const PATIENCE_MS = 12_000
const PREPARING_MS = 120_000

/** Opens jobs to post to. */
export async function openJobs(base: string, count: number, as: As = anybody): Promise<string[]> {
  const ids: string[] = []
  for (let index = 0; index < count; index++) {
    const request = newJobRequest({
      odometerKm: null,
      personId: as.personId,
      ...(as.deviceId ? { deviceId: as.deviceId } : {}),
    })
    // Nothing is measured yet: a machine that is busy with other things plans for as long as it has to.
    let answer = await post(base, '/api/jobs', request, PREPARING_MS, as)
    for (let again = 0; answer?.status === 503 && again < 20; again++) {
      await pause(1000)
      answer = await post(base, '/api/jobs', request, PREPARING_MS, as)
    }
    if (!answer?.ok) throw new Error(`no job could be opened: ${answer?.status}`)
    ids.push(request.id)
  }
  return ids
}

async function post(
  base: string,
  path: string,
  body: unknown,
  patienceMs = PATIENCE_MS,
  as: As = anybody,
): Promise<Response | null> {
  return fetch(base + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...as.headers },
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(patienceMs),
  }).catch(() => null)
}

/**
 * A device that writes notes one after another, each until the server has said yes to it, as the outbox does; every third
 * time it reads the Yard. Ends when it is told to, the last note said yes to.
 */
export async function device(
  baseOf: () => string,
  jobId: string,
  tally: Tally,
  signal: AbortSignal,
  pauseMs: number,
  as: As = anybody,
): Promise<void> {
  for (let count = 0; !signal.aborted; count++) {
    const id = crypto.randomUUID()
    const note = {
      id,
      deviceId: as.deviceId ?? 'drill',
      deviceTime: new Date().toISOString(),
      personId: as.personId,
      type: 'note-added',
      payload: { stepId: null, text: `note ${count}` },
    }
    for (let given = false; !given;) {
      const at = performance.now()
      const answer = await post(
        baseOf(),
        `/api/jobs/${jobId}/events`,
        {
          events: [note],
          sentAt: new Date().toISOString(),
        },
        PATIENCE_MS,
        as,
      )
      const good = answer?.ok === true
      tally.asked.push({ at, good, tookMs: performance.now() - at })
      if (
        good &&
        ((await answer.json().catch(() => null)) as { accepted?: unknown[] } | null)?.accepted?.length === 1
      ) {
        tally.acknowledged.set(id, jobId)
        given = true
      } else if (answer && answer.status >= 400 && answer.status < 500)
        throw new Error(`a note was refused: ${answer.status} ${await answer.text()}`)
      else await pause(100)
    }
    if (count % 3 === 0) {
      const at = performance.now()
      const answer = await fetch(`${baseOf()}/api/jobs`, {
        headers: as.headers,
        signal: AbortSignal.timeout(PATIENCE_MS),
      }).then(
        async response => (await response.text()) !== '' && response.ok,
        () => false,
      )
      tally.asked.push({ at, good: answer, tookMs: performance.now() - at })
    }
    await pause(pauseMs)
  }
}

/** A browser that follows a job, coming back when its stream breaks; what it has heard, by id. */
export async function follower(
  baseOf: () => string,
  jobId: string,
  heard: Set<string>,
  signal: AbortSignal,
  as: As = anybody,
): Promise<void> {
  let last = 0
  while (!signal.aborted) {
    const line = new AbortController()
    const hangUp = () => line.abort()
    signal.addEventListener('abort', hangUp)
    try {
      const response = await fetch(`${baseOf()}/api/jobs/${jobId}/stream?after=${last}`, {
        headers: as.headers,
        signal: line.signal,
      })
      let left = ''
      const text = new TextDecoder()
      for await (const chunk of response.body! as unknown as AsyncIterable<Uint8Array>) {
        left += text.decode(chunk, { stream: true })
        for (let end = left.indexOf('\n\n'); end >= 0; end = left.indexOf('\n\n')) {
          const data = /^data: (.*)$/m.exec(left.slice(0, end))?.[1]
          left = left.slice(end + 2)
          if (!data?.startsWith('{')) continue
          const event = JSON.parse(data) as { id: string; seq: number }
          heard.add(event.id)
          last = Math.max(last, event.seq)
        }
      }
    } catch {
      // The stream broke; it is taken up again.
    }
    signal.removeEventListener('abort', hangUp)
    await pause(300)
  }
}

export const pause = (milliseconds: number) => new Promise(resolve => setTimeout(resolve, milliseconds))

/** Of what the server said yes to: how much the log lacks, and how much it has twice. */
export async function compareWithLog(
  tally: Tally,
  events: (jobId: string) => Promise<{ id: string }[]>,
): Promise<{ lost: number; doubled: number }> {
  let lost = 0
  let doubled = 0
  for (const jobId of new Set(tally.acknowledged.values())) {
    const counts = new Map<string, number>()
    for (const { id } of await events(jobId)) counts.set(id, (counts.get(id) ?? 0) + 1)
    for (const [id, of] of tally.acknowledged) {
      if (of !== jobId) continue
      if (!counts.has(id)) lost++
      if ((counts.get(id) ?? 0) > 1) doubled++
    }
  }
  return { lost, doubled }
}
