/** Every table but `garage`, `account`, `passkey` and `challenge` carries the garage its rows belong to; queries are scoped to it in `for-garage.ts`. */
export { account, garage, garagePack, person, wrench } from './schema/garage'
export { job, jobEvent, vehicle } from './schema/jobs'
export { vehicleFastener, vehicleFigure } from './schema/vehicle-facts'
export {
  foundCause,
  issuedPaper,
  jobSummary,
  jobWords,
  kitFigure,
  openOrder,
  projection,
  workedMinutes,
} from './schema/follows'
export { erasure, shareLink } from './schema/links'
export { challenge, device, devicePerson, invitation, passkey } from './schema/who'
