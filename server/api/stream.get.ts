/** Says which job of the garage has something new, as it happens. */
export default defineRoute((event) => {
  const garageId = sessionGarage()
  return liveStream(event, (stream, news) => {
    if (news?.garageId === garageId) void stream.push(JSON.stringify({ jobId: news.jobId, seq: news.seq }))
  })
})
