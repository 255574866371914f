/** That a job has new events: ids and a number alone, so that nobody who listens is told what happened. */
export interface JobNews {
  garageId: string
  jobId: string
  seq: number
}

/** News go out in so many channels, by the garage: a process listens to those of the garages that somebody looks at. */
const CHANNELS = 32

/** The channel that a garage's news go out in. */
export function channelOf(garageId: string): string {
  return `job_event_${Number.parseInt(garageId.replaceAll('-', '').slice(-4), 16) % CHANNELS}`
}

export const newsText = ({ garageId, jobId, seq }: JobNews): string => `${garageId} ${jobId} ${seq}`

/** News as they came. */
export function newsOf(text: string): JobNews {
  const [garageId, jobId, seq] = text.split(' ')
  return { garageId: garageId!, jobId: jobId!, seq: Number(seq) }
}
