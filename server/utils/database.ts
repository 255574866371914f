import { openDatabase } from '../db/client'
import { forGarage } from '../db/for-garage'

let opened: ReturnType<typeof openDatabase> | undefined

/** The connections of this process, opened at the first use. */
export function useDatabase() {
  if (!process.env.DATABASE_URL) throw new Error('DATABASE_URL is not set')
  return (opened ??= openDatabase(process.env.DATABASE_URL))
}

/** The tables as the garage of this request sees them. */
export function useStore(garageId: string) {
  return forGarage(useDatabase().db, garageId)
}
