import type { Level } from '../../core/packs'

/** How a verdict is said and marked: word and sign first, color last. */
export const levelWords: Record<Level, { word: string; sign: string; text: string; border: string }> = {
  good: { word: 'Good', sign: '✓', text: 'text-good', border: 'border-good' },
  watch: { word: 'Watch', sign: '!', text: 'text-attention', border: 'border-attention' },
  renew: { word: 'Not good', sign: '✕', text: 'text-danger', border: 'border-danger' },
}
