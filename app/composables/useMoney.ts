import type { Rates } from '../../core/job'

/** Amounts in the garage's money. */
export function useMoney() {
  const store = useGarageStore()
  const currency = computed(() => store.garage?.currency ?? 'USD')
  return {
    currency,
    labourPerHour: computed(() => store.garage?.labourPerHour ?? 0),
    /** What the garage asks for. */
    rates: computed((): Rates => {
      const {
        labourPerHour = 0,
        taxPercent = 0,
        partsMarginPercent = 0,
        callOut = 0,
        laterPercent = 0,
      } = store.garage ?? {}
      const priceShare = store.garage?.priceShare ?? null
      return { labourPerHour, taxPercent, partsMarginPercent, callOut, priceShare, laterPercent }
    }),
    money: (amount: number) =>
      new Intl.NumberFormat('en', {
        style: 'currency',
        currency: currency.value,
        maximumFractionDigits: amount >= 100 ? 0 : 2,
      }).format(amount),
  }
}
