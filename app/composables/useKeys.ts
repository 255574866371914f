import { useEventListener } from '@vueuse/core'

/**
 * Keys of a view. They rest while a field has the cursor, a dialog is open or another control has them.
 * @param keys key as the browser names it (letters small, `Space`) → what it does
 */
export function useKeys(keys: Record<string, () => void>) {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
    const target = event.target as HTMLElement
    if (target.closest('input, textarea, select, [role="dialog"], [role="menu"], [role="listbox"]')) return
    const name = event.key === ' ' ? 'Space' : event.key.length === 1 ? event.key.toLowerCase() : event.key
    if (name === 'Space' && target.closest('button, a, summary, [role="radio"], [role="switch"]')) return
    const act = keys[name]
    if (!act) return
    event.preventDefault()
    act()
  })
}
