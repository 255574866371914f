/** One turn of waiting, ms. */
const TURN_MS = 250

/** Does something later, and returns what calls it off. */
export type Later = (act: () => void, milliseconds: number) => () => void

/**
 * Waits for so long, counted in turns of the caller's own loop. A loop that stood still hears what lies unread before it counts on, so
 * a busy machine is not taken for a silent other end.
 * @param milliseconds as they pass while the loop runs
 * @param isOver called once when they have passed
 * @param later the caller's timer
 * @returns ends the waiting
 */
export function patience(milliseconds: number, isOver: () => void, later: Later): () => void {
  let left = Math.ceil(milliseconds / TURN_MS)
  const turn = () => {
    if (--left > 0) callOff = later(turn, TURN_MS)
    else isOver()
  }
  let callOff = later(turn, TURN_MS)
  return () => callOff()
}
