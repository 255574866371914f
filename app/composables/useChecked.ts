import type { z } from 'zod'
import { issuesOf } from '../words/reason-of'
import { useProblems } from './useProblems'

/**
 * A form that its contract checks when it is sent: what is wrong stands at its field, and the first such field gets the cursor.
 * What the server finds wrong is told in the same places.
 */
export function useChecked<Schema extends z.ZodType>(schema: Schema) {
  const { problems, allGood } = useProblems()

  /**
   * @param entry what stands in the form, by the names of the contract
   * @param send given what was read; what it throws is told like a fault of the form, and `false` says that it was not taken
   * @param unread what could not even be read, by field
   * @returns whether it was sent and taken
   */
  async function check(
    entry: unknown,
    send: (read: z.output<Schema>) => unknown,
    unread: Record<string, string> = {},
  ): Promise<boolean> {
    const read = schema.safeParse(entry)
    const found = read.success ? [] : read.error.issues.map(({ path, message }) => [String(path[0]), message] as const)
    if (!allGood({ ...Object.fromEntries([...found].reverse()), ...unread }) || !read.success) return false
    try {
      return (await send(read.data)) !== false
    } catch (error) {
      return allGood(
        Object.fromEntries(
          issuesOf(error)
            .reverse()
            .map(({ path, reason }) => [path.split(/[.[]/)[0] || 'form', reason]),
        ),
      )
    }
  }
  return { problems, allGood, check }
}
