import { FieldError } from '../../base/field-error'
import { refuse } from '../log/chapter'
import type { Refusal } from '../log/chapter'

/** Runs a check of the computation's own and puts the field it finds wrong under the payload. */
export function asRefusal(check: () => void, path = ''): Refusal | null {
  try {
    check()
    return null
  } catch (error) {
    if (error instanceof FieldError) return refuse(`payload.${path}${error.path}`, error.reason)
    throw error
  }
}
