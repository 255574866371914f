import { DEMO_GARAGE_ID } from '../demo/garage'

/** The garage a request acts for. Until there is sign-in, it is the demo garage. */
export function sessionGarage(): string {
  return DEMO_GARAGE_ID
}
