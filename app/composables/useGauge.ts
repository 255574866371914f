import { useLocalStorage } from '@vueuse/core'
import { WebSocketGauge } from '../links/gauge-link'
import type { DialGaugeLink } from '../links/gauge-link'

const USUAL_ADDRESS = 'ws://127.0.0.1:3378/gauge'

/** A dial gauge that speaks, for one circle at a time. */
export function useGauge(circle: () => string, onReading: (angleDeg: number | null, heightMm: number) => void) {
  const address = useLocalStorage('eldrin-gauge', USUAL_ADDRESS)
  const name = ref('')
  const problem = ref('')
  const connecting = ref(false)
  let link: DialGaugeLink | null = null

  function connect() {
    disconnect()
    problem.value = ''
    connecting.value = true
    link = new WebSocketGauge(address.value)
    link.open({
      connected: said => {
        connecting.value = false
        name.value = said
        link?.circle(circle())
      },
      gone: reason => {
        connecting.value = false
        name.value = ''
        problem.value = reason
      },
      reading: onReading,
      zeroed: () => {},
    })
  }
  function disconnect() {
    link?.close()
    link = null
    name.value = ''
    connecting.value = false
  }
  onBeforeUnmount(disconnect)
  return { address, name, problem, connecting, connect, disconnect, zero: () => link?.zero() }
}
