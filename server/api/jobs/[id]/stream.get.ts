import { hideInEvent } from '../../../../core/rights/hide'
import { Refused } from '../../../refused'

/** The events of a job from a number on, and every later one as it is recorded. */
export default defineRoute('see-jobs', async event => {
  const id = idParam(event)
  const { garageId, role } = await askerOf(event)
  const { jobs } = useStore(garageId)
  const { last } = getQuery(event)
  const isGone = !(await jobs.find(id))
  if (isGone && last === undefined) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  let sent = afterParam(getHeader(event, 'last-event-id') ?? getQuery(event).after)
  const isParted = isGone || (getHeader(event, 'last-event-id') === undefined && !(await leadsTo(jobs, id, sent, last)))
  let sending = Promise.resolve()
  return liveStream(event, (stream, news) => {
    if (isParted) {
      // Whoever was told once comes back with another address.
      if (news === null) void stream.push({ event: 'parted', data: '' })
      return
    }
    if (news !== null && (news.jobId !== id || news.seq <= sent)) return
    sending = sending
      .then(async () => {
        for (const entry of await jobs.events(id, sent)) {
          await stream.push({ id: String(entry.seq), data: JSON.stringify(hideInEvent(role, entry)) })
          sent = entry.seq!
        }
        // What could not be read now is read the next time that somebody looks.
      })
      .catch(() => {})
  })
})
