import { useLocalStorage, useSpeechSynthesis } from '@vueuse/core'

/** Says things aloud where the browser can and the mechanic wants it. */
export function useSpeech() {
  const on = useLocalStorage('eldrin-spoken', false)
  const text = ref('')
  const { isSupported, speak, stop } = useSpeechSynthesis(text, { lang: 'en' })
  onBeforeUnmount(stop)
  return {
    isSupported,
    on,
    stop,
    say(words: string) {
      if (!on.value || !isSupported.value) return
      text.value = words
      stop()
      speak()
    },
  }
}
