import { useWakeLock } from '@vueuse/core'

/** Keeps the screen on while a view is open, where the browser lets it. */
export function useScreenAwake() {
  const { isSupported, request } = useWakeLock()
  onMounted(() => {
    if (isSupported.value) void request('screen').catch(() => {})
  })
}
