import { Refused } from '../refused'

/** What no other route answers. */
export default defineRoute('anyone', event => {
  throw new Refused(404, [{ path: event.path, reason: `There is nothing to ${event.method} here.` }])
})
