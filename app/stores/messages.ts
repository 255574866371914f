import { defineStore } from 'pinia'

export interface Message {
  id: number
  text: string
  kind: 'said' | 'refused'
}

const SHOWN_MS = 7000

/** Short words at the foot of the screen: what was undone, what was refused and why. */
export const useMessages = defineStore('messages', () => {
  const messages = ref<Message[]>([])
  /** The number of the newest message there ever was. */
  const last = ref(0)

  function say(text: string, kind: Message['kind'] = 'said') {
    const id = ++last.value
    // Said twice it stands there once, and longer.
    messages.value = [...messages.value.filter(message => message.text !== text).slice(-1), { id, text, kind }]
    setTimeout(() => dismiss(id), SHOWN_MS)
  }
  function dismiss(id: number) {
    messages.value = messages.value.filter(message => message.id !== id)
  }
  return { messages, last, say, dismiss }
})
