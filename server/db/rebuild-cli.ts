import { openDatabase } from './client'
import { rebuildProjections } from './rebuild'

/** Prints what was not as the logs have it, and writes it anew; with `--strict` such a difference is a failure. */
const isStrict = process.argv.includes('--strict')
const { db, close } = openDatabase(process.env.DATABASE_OWNER_URL ?? process.env.DATABASE_URL!, 1)
try {
  const { jobs, differed } = await rebuildProjections(db)
  if (isStrict && differed.length > 0) process.exitCode = 1
  for (const { number, what } of differed)
    console.log(`Job ${number}: ${what.join(', ')} differed and ${what.length === 1 ? 'is' : 'are'} written anew.`)
  console.log(
    `What follows from the logs of ${jobs} jobs was looked at; ${differed.length === 0 ? 'all of it was right' : `${differed.length} of them were not as their log has them`}.`,
  )
} finally {
  await close()
}
