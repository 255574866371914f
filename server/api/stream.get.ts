/** What was written by a transaction that began so long before it ended is looked at again. */
const OVERLAP_MS = 60_000

/** Says which job of the garage has something new, as it happens. */
export default defineRoute('see-jobs', async event => {
  const { jobs } = useStore(garageOf(event))
  const told = new Map<string, number>()
  let looked = await jobs.clock()
  /** What was missed is found by where the logs end that have grown since somebody looked. */
  async function missed(): Promise<[string, number][]> {
    const now = await jobs.clock()
    const ends = [...(await jobs.headsSince(new Date(looked.getTime() - OVERLAP_MS)))]
    looked = now
    return ends
  }
  return liveStream(event, async (stream, news) => {
    const ends = news ? [[news.jobId, news.seq] as const] : await missed().catch(() => [])
    for (const [jobId, seq] of ends) {
      if ((told.get(jobId) ?? 0) >= seq) continue
      told.set(jobId, seq)
      await stream.push(JSON.stringify({ jobId, seq }))
    }
  })
})
