import { createError, defineEventHandler, getRouterParam, readRawBody } from 'h3'
import type { EventHandlerRequest, H3Event } from 'h3'
import { z } from 'zod'
import type { ZodType } from 'zod'
import { uuid } from '../../contracts/common'
import { Refused } from '../refused'

/** Two hundred events are far below this. */
const LARGEST_BODY = 1_000_000
const idOnly = z.object({ id: uuid })

/** A route whose refusals reach the caller as 4xx with path and reason. */
export function defineRoute<T>(handler: (event: H3Event<EventHandlerRequest>) => Promise<T> | T) {
  return defineEventHandler(async (event) => {
    try {
      return await handler(event)
    }
    catch (error) {
      if (!(error instanceof Refused)) throw error
      throw createError({ statusCode: error.status, statusMessage: 'Refused', message: error.message, data: { issues: error.issues } })
    }
  })
}

/** The body of a request, checked. */
export async function readChecked<T>(event: H3Event, schema: ZodType<T>, most = LARGEST_BODY): Promise<T> {
  const raw = await readRawBody(event)
  if (raw && raw.length > most) throw new Refused(413, [{ path: '', reason: 'That is more than a device sends at once.' }])
  let body: unknown
  try {
    body = JSON.parse(raw ?? '')
  }
  catch {
    throw new Refused(400, [{ path: '', reason: 'The body is not JSON.' }])
  }
  return check(body, schema, 422)
}

/** The `:id` of a route, checked to be a UUID. */
export function idParam(event: H3Event): string {
  return check({ id: getRouterParam(event, 'id') }, idOnly, 400).id
}

function check<T>(value: unknown, schema: ZodType<T>, status: number): T {
  const result = schema.safeParse(value)
  if (result.success) return result.data
  throw new Refused(status, result.error.issues.map(issue => ({ path: pathText(issue.path), reason: issue.message })))
}

function pathText(path: PropertyKey[]): string {
  return path.reduce<string>((text, part) => typeof part === 'number' ? `${text}[${part}]` : text ? `${text}.${String(part)}` : String(part), '')
}
