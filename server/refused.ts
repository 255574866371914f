import type { Issue } from '../contracts/answers'

/** A request that cannot be carried out: the answer's status, and where and why. Nothing was changed. */
export class Refused extends Error {
  override name = 'Refused'
  constructor(
    readonly status: number,
    readonly issues: Issue[],
  ) {
    super(issues.map(issue => `${issue.path}: ${issue.reason}`).join('; '))
  }
}

/** The supplier could not be asked, or said no; whether it may have done what was asked is known by `saidNo`. */
export class SupplierRefused extends Refused {
  readonly saidNo: boolean
  constructor({ message, saidNo, status }: { message: string; saidNo: boolean; status: number }) {
    super(status, [{ path: 'supplier', reason: message }])
    this.saidNo = saidNo
  }
}
