import { createError, defineEventHandler, getRouterParam, setHeader } from 'h3'
import type { EventHandlerRequest, H3Event } from 'h3'
import { z } from 'zod'
import type { ZodType } from 'zod'
import type { Permission } from '../../core/people/roles'
import { uuid } from '../../contracts/common'
import { unstorable } from '../../contracts/storable'
import { checked } from '../checked'
import { refusalOf, RETRY_AFTER_SECONDS } from '../db/db-errors'
import { Refused } from '../refused'
import { askerOf, letIn, wantOwnHand } from '../who/asker'
import { largest, readBytes } from './body'

const idOnly = z.object({ id: uuid })

/** What a route wants of who asks: a permission, that they are signed in, or nothing. */
export type Wanted = Permission | 'signed-in' | 'anyone'

/**
 * A route that only those come to who may; its refusals reach the caller as 4xx, or as 503 where asking again may help,
 * with path and reason.
 */
export function defineRoute<T>(wanted: Wanted, handler: (event: H3Event<EventHandlerRequest>) => Promise<T> | T) {
  return defineEventHandler(async event => {
    try {
      if (wanted !== 'anyone') letIn(await askerOf(event), wanted)
      return await handler(event)
    } catch (error) {
      throw answerTo(event, error)
    }
  })
}

/** What is thrown to the caller for an error of ours; any other goes on as it is. */
export function answerTo(event: H3Event, error: unknown): unknown {
  const refused = error instanceof Refused ? error : refusalOf(error)
  if (!refused) return error
  if (refused.status === 503) setHeader(event, 'retry-after', RETRY_AFTER_SECONDS)
  return createError({
    statusCode: refused.status,
    statusMessage: 'Refused',
    message: refused.message,
    data: { issues: refused.issues },
  })
}

/**
 * The body of a request, cut off while it streams when it is too large, and checked.
 * @param whose what it says of a person is who acts, and has to be somebody of this device; or it speaks of anybody
 */
export async function readChecked<T>(
  event: H3Event,
  schema: ZodType<T>,
  most: number = largest.act,
  whose: 'own' | 'anybody' = 'own',
): Promise<T> {
  const bytes = await readBytes(event, most)
  let body: unknown
  try {
    body = JSON.parse(bytes.toString('utf8'))
  } catch {
    throw new Refused(400, [{ path: '', reason: 'The body is not JSON.' }])
  }
  const unheld = unstorable(body)
  if (unheld) throw new Refused(422, [unheld])
  if (whose === 'own') wantOwnHand(event, body)
  return checked(body, schema)
}

/** The `:id` of a route, checked to be a UUID. */
export function idParam(event: H3Event): string {
  return checked({ id: getRouterParam(event, 'id') }, idOnly, 400).id
}

/** A number of an event from which on something is wanted; 0 where none is given. */
export function afterParam(given: unknown): number {
  const after = Number(given ?? 0)
  if (!Number.isSafeInteger(after) || after < 0)
    throw new Refused(400, [{ path: 'after', reason: 'A whole number from 0 up.' }])
  return after
}
