let draining = false

/** Whether this process was told to stop, and takes nothing new from who stands in front of it. */
export const isDraining = (): boolean => draining

export function setDraining(): void {
  draining = true
}
