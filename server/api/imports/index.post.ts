import { jobFile } from '../../../contracts/job-file'
import type { JobFile } from '../../../core/formats'
import { takeJobFile } from '../../import-job'

/** A whole log with its plan is larger than what a device posts. */
const LARGEST_FILE = 20_000_000

export default defineRoute(async event => takeJobFile(useDatabase().db, sessionGarage(), await readChecked(event, jobFile, LARGEST_FILE) as JobFile))
