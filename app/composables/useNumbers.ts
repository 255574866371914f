import { readNumber } from '../../core/units'

/** Numbers as this garage types them. */
export function useNumbers() {
  const store = useGarageStore()
  const format = computed(() => store.garage?.units.numbers ?? 'point')
  return {
    format,
    /** What was typed, what it may mean too, or what is wrong with it. */
    read: (text: string, bounds: { low?: number; high?: number } = {}) => readNumber(text, format.value, bounds),
    /** The number alone; `NaN` where there is none. */
    plain: (text: string) => readNumber(text, format.value).value ?? NaN,
    written: (value: number) =>
      value.toLocaleString(format.value === 'comma' ? 'de' : 'en', { maximumFractionDigits: 3 }),
  }
}
