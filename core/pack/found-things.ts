import type { ItemState } from './kinds'

/** What turns up on a car that no layout knows of. */
export interface FoundThing {
  id: string
  label: string
  /** What it is called until somebody calls it otherwise; empty where it is asked. */
  name: string
  state: ItemState
  minutes: number
}
