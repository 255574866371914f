import type { Issue } from '../contracts/answers'

/** A request that cannot be carried out: the answer's status, and where and why. Nothing was changed. */
export class Refused extends Error {
  override name = 'Refused'
  constructor(readonly status: number, readonly issues: Issue[]) {
    super(issues.map(issue => `${issue.path}: ${issue.reason}`).join('; '))
  }
}
