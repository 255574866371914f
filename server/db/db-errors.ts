import { Refused } from '../refused'

interface PgError {
  code?: string
  message?: string
}

/** Codes of a database that is away, stopping, full or slower than anybody waits, and of a lock that was lost to somebody else. */
const AWAY =
  /^(?:08...|53...|57P0[1-5]|57014|25006|25P03|40001|40P01|55P03|ECONN\w+|EPIPE|ETIMEDOUT|ENOTFOUND|EAI_AGAIN|EHOSTUNREACH|ENETUNREACH)$/
/** What the driver says without a code. */
const AWAY_WORDS =
  /timeout exceeded when trying to connect|Query read timeout|Connection terminated|connection is closed|not queryable|timeout expired|Cannot use a pool after/i
const LINE_LOST = /^(?:57P0[12]|08006|ECONNRESET|EPIPE)$/
const LINE_LOST_WORDS = /Connection terminated|not queryable/i
/** Text or a number that a column cannot hold. */
const UNHOLDABLE = /^(?:22...|23502|23514)$/
const TAKEN = /^23505$/
const UNKNOWN_ROW = /^23503$/

/** How many seconds a caller waits before asking again. */
export const RETRY_AFTER_SECONDS = 2

/** An error with those it was caused by: the database's own is the innermost. */
function chain(error: unknown): PgError[] {
  const found: PgError[] = []
  for (let next = error; next instanceof Error && found.length < 8; next = next.cause) found.push(next as PgError)
  return found
}

const anyCode = (error: unknown, pattern: RegExp) =>
  chain(error).some(({ code }) => code !== undefined && pattern.test(code))

/** Whether the records could not be reached in time, so that asking again may help. */
export function isAway(error: unknown): boolean {
  return (
    anyCode(error, AWAY) ||
    chain(error).some(({ code, message }) => code === undefined && AWAY_WORDS.test(message ?? ''))
  )
}

/** Whether the line went while something was asked, so that nobody can say whether it was done. */
export function isLineLost(error: unknown): boolean {
  return (
    anyCode(error, LINE_LOST) ||
    chain(error).some(({ code, message }) => code === undefined && LINE_LOST_WORDS.test(message ?? ''))
  )
}

/** Whether a key that was to be new is there already. */
export function isTaken(error: unknown): boolean {
  return anyCode(error, TAKEN)
}

/** What a caller is told of an error of the database; `null` for one that is none, or a fault of ours. */
export function refusalOf(error: unknown): Refused | null {
  if (isAway(error))
    return new Refused(503, [
      {
        path: '',
        reason:
          'The garage’s records cannot be reached just now. Nothing was changed; what waits on this device is sent again.',
      },
    ])
  if (isTaken(error)) return new Refused(409, [{ path: 'id', reason: 'This id is taken.' }])
  if (anyCode(error, UNKNOWN_ROW))
    return new Refused(409, [{ path: '', reason: 'Something this refers to is not here.' }])
  if (anyCode(error, UNHOLDABLE))
    return new Refused(422, [{ path: '', reason: 'A text or a number in this cannot be kept.' }])
  return null
}
