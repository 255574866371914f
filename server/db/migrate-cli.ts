import { openDatabase } from './client'
import { migrateDatabase } from './migrate'

const { db, close } = openDatabase(process.env.DATABASE_URL!, 1)
await migrateDatabase(db)
await close()
