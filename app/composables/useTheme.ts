import { keepHere, readHere } from '../log/keep-here'

export type Theme = 'auto' | 'day' | 'night'

const THEME_KEY = 'eldrin-theme'

/** Day, night, or as the device has it. Kept on the device. */
export function useTheme() {
  const theme = useState<Theme>('theme', () => (readHere(THEME_KEY) as Theme | null) ?? 'auto')
  function choose(next: Theme) {
    theme.value = next
    keepHere(THEME_KEY, next === 'auto' ? null : next)
    if (next === 'auto') delete document.documentElement.dataset.theme
    else document.documentElement.dataset.theme = next
  }
  return { theme, choose }
}
