import { beforeAll, describe, expect, it } from 'vitest'
import type { oneServer } from './one-server'
import { newJobRequest } from './requests'
import { call, everythingIn } from './wire'

/** What is sent, what it is answered with, and the path that is named; `JOB` in an address stands for a job that is open. */
export type BadRequest = [method: string, address: string, body: () => unknown, status: number, path: string]

/** Every one of them is answered with path and reason and changes nothing. */
export function refuses({ app, database }: ReturnType<typeof oneServer>, requests: BadRequest[]): void {
  describe('bad input is answered with path and reason and changes nothing', () => {
    let jobId: string
    beforeAll(async () => {
      const request = newJobRequest()
      jobId = request.id
      expect((await call(app().base, 'POST', '/api/jobs', request)).status).toBe(201)
    })
    it.each(requests)('%s %s', async (method, address, body, status, path) => {
      const before = await everythingIn(database())
      const answer = await call(app().base, method, address.replace('JOB', jobId), body())
      expect(answer.status).toBe(status)
      const issue = answer.body.data!.issues![0]!
      expect(issue.path).toBe(path.replace('JOB', jobId))
      expect(issue.reason.length).toBeGreaterThan(5)
      expect(await everythingIn(database())).toBe(before)
    })
  })
}
