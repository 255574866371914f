import { openDatabase } from './client'
import { rebuildProjections } from './rebuild'

const { db, close } = openDatabase(process.env.DATABASE_OWNER_URL ?? process.env.DATABASE_URL!, 1)
try {
  const { jobs, differed } = await rebuildProjections(db)
  for (const { number, what } of differed)
    console.log(`Job ${number}: ${what.join(', ')} differed and ${what.length === 1 ? 'is' : 'are'} written anew.`)
  console.log(
    `What follows from the logs of ${jobs} jobs was looked at; ${differed.length === 0 ? 'all of it was right' : `${differed.length} of them were not as their log has them`}.`,
  )
} finally {
  await close()
}
