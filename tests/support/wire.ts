import type { TestDatabase } from './database'

export interface Answer {
  status: number
  body: { data?: { issues?: { path: string; reason: string }[] } } & Record<string, unknown>
}

/** Asks a running application and reads its JSON. A body that is text goes as it is. */
export async function call(base: string, method: string, path: string, body?: unknown): Promise<Answer> {
  const response = await fetch(base + path, {
    method,
    body: typeof body === 'string' ? body : JSON.stringify(body),
    headers: { 'content-type': 'application/json' },
  })
  return { status: response.status, body: (await response.json()) as Answer['body'] }
}

/** All that the records hold, to compare. */
export const everythingIn = async (database: TestDatabase): Promise<string> =>
  JSON.stringify(
    await database.sql`
  select (select json_agg(e order by seq, job_id) from job_event e) events, (select json_agg(v order by id) from vehicle v) vehicles,
    (select json_agg(j order by id) from job j) jobs, (select json_agg(s order by job_id) from job_summary s) lines, (select json_agg(g) from garage g) garages, (select json_agg(p) from garage_pack p) packs, (select json_agg(w order by id) from wrench w) wrenches,
    (select json_agg(f order by id) from vehicle_figure f) figures, (select json_agg(f) from vehicle_fastener f) fasteners`,
  )
