const HEARTBEAT_MS = 20_000

/** Says which job of the garage has something new, as it happens. */
export default defineRoute(async (event) => {
  const garageId = sessionGarage()
  const stream = createEventStream(event)
  const stop = await onJobNews((news) => {
    if (news.garageId === garageId) void stream.push(JSON.stringify({ jobId: news.jobId, seq: news.seq }))
  })
  const heartbeat = setInterval(() => void stream.push({ event: 'still-here', data: '' }), HEARTBEAT_MS)
  stream.onClosed(async () => {
    clearInterval(heartbeat)
    stop()
    await stream.close()
  })
  void stream.push({ event: 'still-here', data: '' })
  return stream.send()
})
