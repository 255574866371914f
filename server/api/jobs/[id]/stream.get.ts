import { Refused } from '../../../refused'

const HEARTBEAT_MS = 20_000

/** The events of a job from a number on, and every later one as it is recorded. */
export default defineRoute(async (event) => {
  const id = idParam(event)
  const { jobs } = useStore(sessionGarage())
  if (!await jobs.find(id)) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])

  const wanted = Number(getHeader(event, 'last-event-id') ?? getQuery(event).after ?? 0)
  let sent = Number.isInteger(wanted) && wanted > 0 ? wanted : 0
  const stream = createEventStream(event)
  let sending = Promise.resolve()
  const send = () => {
    sending = sending.then(async () => {
      for (const entry of await jobs.events(id, sent)) {
        await stream.push({ id: String(entry.seq), data: JSON.stringify(entry) })
        sent = entry.seq!
      }
    }).catch(() => stream.close())
  }
  const stop = await onJobNews((news) => {
    if (news.jobId === id && news.seq > sent) send()
  })
  const heartbeat = setInterval(() => void stream.push({ event: 'still-here', data: '' }), HEARTBEAT_MS)
  stream.onClosed(async () => {
    clearInterval(heartbeat)
    stop()
    await stream.close()
  })
  void stream.push({ event: 'still-here', data: '' })
  send()
  return stream.send()
})
