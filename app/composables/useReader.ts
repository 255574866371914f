import { useLocalStorage } from '@vueuse/core'
import { WebSocketReader } from '../links/reader-link'
import type { ControllerReaderLink, ReaderEvents } from '../links/reader-link'

const USUAL_ADDRESS = 'ws://127.0.0.1:3379/reader'

/** What a step hears of a reader; what it has no use for is left out. */
export type ReaderHears = Partial<Omit<ReaderEvents, 'connected' | 'gone'>>

/** A controller reader that speaks, for one step at a time. */
export function useReader(hears: ReaderHears) {
  const address = useLocalStorage('eldrin-reader', USUAL_ADDRESS)
  const name = ref('')
  const problem = ref('')
  const connecting = ref(false)
  const routines = ref<{ id: string; name: string }[]>([])
  let link: ControllerReaderLink | null = null

  function connect() {
    disconnect()
    problem.value = ''
    connecting.value = true
    link = new WebSocketReader(address.value)
    link.open({
      codes: () => {},
      values: () => {},
      progress: () => {},
      done: () => {},
      refused: () => {},
      ...hears,
      connected: (said, offered) => {
        connecting.value = false
        name.value = said
        routines.value = offered
      },
      gone: reason => {
        connecting.value = false
        name.value = ''
        problem.value = reason
      },
    })
  }
  function disconnect() {
    link?.close()
    link = null
    name.value = ''
    connecting.value = false
  }
  onBeforeUnmount(disconnect)
  return {
    address,
    name,
    problem,
    connecting,
    routines,
    connect,
    disconnect,
    readCodes: () => link?.readCodes(),
    clearCodes: () => link?.clearCodes(),
    readValues: () => link?.readValues(),
    run: (routine: string) => link?.run(routine),
  }
}
