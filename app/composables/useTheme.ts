export type Theme = 'auto' | 'day' | 'night'

const THEME_KEY = 'eldrin-theme'

/** Day, night, or as the device has it. Kept on the device. */
export function useTheme() {
  const theme = useState<Theme>('theme', () => (localStorage.getItem(THEME_KEY) as Theme | null) ?? 'auto')
  function choose(next: Theme) {
    theme.value = next
    if (next === 'auto') {
      localStorage.removeItem(THEME_KEY)
      delete document.documentElement.dataset.theme
    }
    else {
      localStorage.setItem(THEME_KEY, next)
      document.documentElement.dataset.theme = next
    }
  }
  return { theme, choose }
}
