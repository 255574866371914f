import { keepHere, readHere } from '../log/keep-here'

const KEY = 'eldrin-last-job'

/** The job that was open last on this device; `null` where none was. */
export const lastJob = (): string | null => readHere(KEY)

export const keepLastJob = (jobId: string): void => keepHere(KEY, jobId)
