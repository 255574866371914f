/** Says which job of the garage has something new, as it happens. */
export default defineRoute(async event => {
  const garageId = sessionGarage()
  const { jobs } = useStore(garageId)
  const told = await jobs.heads()
  return liveStream(event, async (stream, news) => {
    if (news && news.garageId !== garageId) return
    // What was missed is found by where each job's log ends.
    const ends = news ? [[news.jobId, news.seq] as const] : [...(await jobs.heads().catch(() => told))]
    for (const [jobId, seq] of ends) {
      if ((told.get(jobId) ?? 0) >= seq) continue
      told.set(jobId, seq)
      await stream.push(JSON.stringify({ jobId, seq }))
    }
  })
})
