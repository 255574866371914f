import { openDatabase } from './client'
import { rebuildProjections } from './rebuild'

const { db, close } = openDatabase(process.env.DATABASE_OWNER_URL ?? process.env.DATABASE_URL!, 1)
try {
  console.log(`What follows from the logs of ${await rebuildProjections(db)} jobs is written anew.`)
}
finally {
  await close()
}
