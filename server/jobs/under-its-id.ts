import { isLineLost, isTaken } from '../db/db-errors'

/**
 * Does what is told by its id, and once more where somebody else took the same id at the same moment, or where the line was lost so that
 * nobody can say whether it was written: now it is seen, and answered for.
 * @param act changes nothing where what it writes is there already
 */
export async function underItsId<T>(act: () => Promise<T>): Promise<T> {
  try {
    return await act()
  } catch (error) {
    if (!isTaken(error) && !isLineLost(error)) throw error
    return act()
  }
}
