import { useEventListener } from '@vueuse/core'

const ROOMS = 'section, article, form, li, [role=dialog], main'

/** Keeps the keyboard's place: where the control that had the focus is gone, the nearest room of it that is still there takes it over. */
export function useFocusKept() {
  let rooms: HTMLElement[] = []
  const isLost = () => document.activeElement === null || document.activeElement === document.body
  function keep() {
    const room = rooms.find(entry => entry.isConnected) ?? document.querySelector<HTMLElement>('main')
    if (!isLost() || rooms.length === 0 || !room) return
    if (!room.hasAttribute('tabindex')) room.tabIndex = -1
    room.focus({ preventScroll: true })
  }
  useEventListener(window, 'focusin', ({ target }: FocusEvent) => {
    if (!(target instanceof HTMLElement)) return
    rooms = []
    for (
      let room = target.closest<HTMLElement>(ROOMS);
      room;
      room = room.parentElement?.closest<HTMLElement>(ROOMS) ?? null
    )
      rooms.push(room)
  })
  const later = () => setTimeout(keep, 120)
  useEventListener(window, ['click', 'keyup'], later, { capture: true })
}
