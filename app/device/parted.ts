import { FetchError } from 'ofetch'
import type { Issue } from '../../contracts/answers'

/** Whether the server said that its log does not lead to the event that this device had last. */
export const isParted = (error: unknown): boolean => isMissingThere(error) || says(error, 409, 'last')

/** Whether the server said that it knows no such job. */
export const isMissingThere = (error: unknown): boolean => says(error, 404, 'id')

function says(error: unknown, status: number, path: string): boolean {
  if (!(error instanceof FetchError) || error.statusCode !== status) return false
  const issues = (error.data as { data?: { issues?: Issue[] } } | undefined)?.data?.issues
  return Array.isArray(issues) && issues.some(issue => issue.path === path)
}
