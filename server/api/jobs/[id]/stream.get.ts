import { Refused } from '../../../refused'

/** The events of a job from a number on, and every later one as it is recorded. */
export default defineRoute(async event => {
  const id = idParam(event)
  const { jobs } = useStore(sessionGarage())
  if (!(await jobs.find(id))) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])

  let sent = afterParam(getHeader(event, 'last-event-id') ?? getQuery(event).after)
  let sending = Promise.resolve()
  return liveStream(event, (stream, news) => {
    if (news !== null && (news.jobId !== id || news.seq <= sent)) return
    sending = sending
      .then(async () => {
        for (const entry of await jobs.events(id, sent)) {
          await stream.push({ id: String(entry.seq), data: JSON.stringify(entry) })
          sent = entry.seq!
        }
        // What could not be read now is read the next time that somebody looks.
      })
      .catch(() => {})
  })
})
