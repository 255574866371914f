import { useDatabase } from './database'

/** That a job has new events. */
export interface JobNews { garageId: string, jobId: string, seq: number }

const listeners = new Set<(news: JobNews) => void>()
let listening: Promise<unknown> | undefined

/**
 * Calls back whenever any process adds events to a job. One database connection listens for the whole process;
 * nothing else is kept in memory.
 * @returns a function that ends it
 */
export async function onJobNews(listener: (news: JobNews) => void): Promise<() => void> {
  listeners.add(listener)
  listening ??= useDatabase().sql.listen('job_event', (text) => {
    const news = JSON.parse(text) as JobNews
    for (const each of listeners) each(news)
  }).catch((error: unknown) => {
    listening = undefined
    throw error
  })
  await listening
  return () => listeners.delete(listener)
}
