/** What a press is meant for. */
const PRESSABLE = 'button, a[href], summary, label, input, [role="button"]'
/** A finger rolls by so much, in pixels; by more it drags. */
const SLOP_PX = 12
/** A mouse is told as a click at once; a touch some time later, and not at all where it was held for long. */
const TOUCH_CLICK_MS = 80
const LONG_PRESS_MS = 500

interface Press {
  target: HTMLElement
  x: number
  y: number
  at: number
}

/**
 * What a thumb went down on gets the press, although the page has moved before it came up: a line above may have been closed by the tap
 * before. The browser gives such a click to whatever holds both places, which is nothing that acts.
 * @param events where presses are heard
 * @returns ends it
 */
export function steadyPress(events: EventTarget): () => void {
  let down: Press | null = null
  /** What was pressed and has not been clicked yet. */
  let owed: HTMLElement | null = null
  /** What was clicked here in the browser's place. */
  let given: HTMLElement | null = null
  let isOurs = false
  const ended = new AbortController()
  const hear = <E extends Event>(type: string, listener: (event: E) => void) =>
    events.addEventListener(type, listener as EventListener, { capture: true, signal: ended.signal })

  function give(target: HTMLElement) {
    owed = null
    if (!target.isConnected) return
    given = target
    isOurs = true
    target.click()
    isOurs = false
  }

  hear<PointerEvent>('pointerdown', ({ target, isPrimary, button, clientX: x, clientY: y, timeStamp: at }) => {
    owed = given = null
    const pressed = isPrimary && button === 0 ? (target as Element | null)?.closest(PRESSABLE) : null
    down = pressed instanceof HTMLElement ? { target: pressed, x, y, at } : null
  })
  hear('pointercancel', () => {
    down = null
  })
  hear<PointerEvent>('pointerup', ({ clientX, clientY, timeStamp, pointerType }) => {
    const began = down
    down = null
    if (!began || Math.hypot(clientX - began.x, clientY - began.y) > SLOP_PX) return
    const isTouch = pointerType !== 'mouse'
    if (isTouch && timeStamp - began.at > LONG_PRESS_MS) return
    const { target } = began
    owed = target
    setTimeout(() => owed === target && give(target), isTouch ? TOUCH_CLICK_MS : 0)
  })
  hear<MouseEvent>('click', event => {
    // What the keyboard or a script presses is where it is.
    if (isOurs || event.detail === 0) return
    const meant = owed ?? given
    if (!meant) return
    if (owed && event.composedPath().includes(owed)) {
      owed = null
      return
    }
    event.stopPropagation()
    event.preventDefault()
    if (owed) give(owed)
  })
  return () => ended.abort()
}
