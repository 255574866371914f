import { FetchError } from 'ofetch'
import type { Issue } from '../../contracts/answers'

/** What went wrong with a request, in words for the person; path and reason where the server gave them. */
export function issuesOf(error: unknown): Issue[] {
  const issues =
    error instanceof FetchError ? (error.data as { data?: { issues?: Issue[] } } | undefined)?.data?.issues : undefined
  return issues ?? [{ path: '', reason: 'The server did not answer.' }]
}
