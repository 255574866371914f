import { migrateDatabase } from './migrate'

await migrateDatabase(process.env.DATABASE_OWNER_URL ?? process.env.DATABASE_URL!)
