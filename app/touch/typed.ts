import type { Directive } from 'vue'

type Field = HTMLInputElement
/** What a field is to show, while somebody types something else into it. */
const given = new WeakMap<Field, string>()
const inHand = new WeakSet<Field>()

/**
 * `v-typed="value"`: a field shows a value, and nothing that is drawn anew takes away what somebody is typing into it.
 * Once that was said (`change`), or left as it was, the field follows its value again.
 */
export const typed: Directive<Field, string | number> = {
  beforeMount(field, { value }) {
    given.set(field, String(value))
    field.value = String(value)
    field.addEventListener('input', () => inHand.add(field))
    field.addEventListener('change', () => inHand.delete(field))
    field.addEventListener('blur', () => {
      if (inHand.delete(field)) field.value = given.get(field)!
    })
  },
  updated(field, { value }) {
    given.set(field, String(value))
    if (!inHand.has(field) && field.value !== String(value)) field.value = String(value)
  },
}

declare module 'vue' {
  interface GlobalDirectives {
    vTyped: typeof typed
  }
}
