import type { Issue } from '../../contracts/answers'
import type { PostedEvents } from '../../contracts/events'
import { NOT_UNDERSTOOD } from '../../contracts/version'
import { contractHeaders, hearContract } from '../device/version-gap'
import { saidBy } from './waiting-act'
import type { Asked, WaitingAct } from './waiting-act'

/**
 * What became of a posting. Only the judge's own no, which names the act and says why, is one (`judged`);
 * whatever else comes back leaves the acts where they are: nobody was there (`nobody`), a sign-in is wanted (`sign-in`), it is of an Eldrin that does not understand this one (`outdated`),
 * or something answered that may be about the acts themselves (`odd`). What was asked for acts came `through`.
 */
export type PostResult =
  | { kind: 'accepted'; accepted: PostedEvents['accepted'] }
  | { kind: 'through' }
  | { kind: 'judged'; index: number; reason: string }
  | { kind: 'nobody' }
  | { kind: 'sign-in' }
  | { kind: 'outdated' }
  | { kind: 'odd'; status: number }

const PATIENCE_MS = 10_000
/** The server plans before it answers. */
const ASKED_PATIENCE_MS = 60_000
/** Answers that say nothing of the acts, whoever gives them. */
const NOT_NOW = new Set([403, 404, 408, 421, 425, 429, 502, 503, 504])
const JUDGES = new Set([409, 422])

/** Posts acts of one job. */
export function postEvents(jobId: string, acts: WaitingAct[]): Promise<PostResult> {
  return post(
    `/api/jobs/${jobId}/events`,
    {
      events: acts.map(({ jobId: _jobId, seq: _seq, saidAt: _saidAt, late: _late, clockOffMs, ...act }) => ({
        ...act,
        deviceTime: saidBy({ deviceTime: act.deviceTime, ...(clockOffMs ? { clockOffMs } : {}) }),
      })),
      sentAt: new Date().toISOString(),
    },
    readAnswer,
  )
}

/** Asks the server what acts were worked out for, one thing after another, until one does not come through. */
export async function postAsked({ posts }: Asked): Promise<PostResult> {
  for (const { path, body } of posts) {
    const moment = 'at' in body ? { sentAt: new Date().toISOString() } : {}
    const result = await post(path, { ...body, ...moment }, readAskedAnswer, ASKED_PATIENCE_MS)
    if (result.kind !== 'through') return result
  }
  return { kind: 'through' }
}

async function post(
  path: string,
  body: unknown,
  means: (status: number, text: string) => PostResult,
  patienceMs = PATIENCE_MS,
): Promise<PostResult> {
  try {
    const response = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...contractHeaders },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(patienceMs),
    })
    hearContract(response)
    return means(response.status, await response.text())
  } catch {
    return { kind: 'nobody' }
  }
}

/** What an answer to a posting means: a yes has the numbers of the acts, a no names one of them. */
export function readAnswer(status: number, text: string): PostResult {
  return read(status, text, {
    yes: ({ accepted }: Partial<PostedEvents>) => (Array.isArray(accepted) ? { kind: 'accepted', accepted } : null),
    no: ({ path, reason }) => {
      const at = /^events\[(\d+)\]/.exec(path)?.[1]
      return at === undefined ? null : { kind: 'judged', index: Number(at), reason }
    },
  })
}

/** The same for what was asked in the place of acts: the whole of it is judged. */
export function readAskedAnswer(status: number, text: string): PostResult {
  return read(status, text, {
    yes: () => ({ kind: 'through' }),
    no: ({ reason }) => ({ kind: 'judged', index: 0, reason }),
  })
}

/** A page where JSON is wanted is somebody in between, whatever its number. */
function read(
  status: number,
  text: string,
  means: { yes: (body: object) => PostResult | null; no: (issue: Issue) => PostResult | null },
): PostResult {
  if (status === 401) return { kind: 'sign-in' }
  if (status === NOT_UNDERSTOOD) return { kind: 'outdated' }
  let body: { data?: { issues?: Issue[] } } | null
  try {
    body = JSON.parse(text) as typeof body
  } catch {
    return { kind: 'nobody' }
  }
  if (status >= 200 && status < 300)
    return (body && typeof body === 'object' ? means.yes(body) : null) ?? { kind: 'nobody' }
  const [issue] = body?.data?.issues ?? []
  const no = JUDGES.has(status) && issue ? means.no(issue) : null
  return no ?? (NOT_NOW.has(status) || status < 400 ? { kind: 'nobody' } : { kind: 'odd', status })
}
