/** Amounts in the garage's money. */
export function useMoney() {
  const store = useGarageStore()
  const currency = computed(() => store.garage?.currency ?? 'USD')
  return {
    currency,
    labourPerHour: computed(() => store.garage?.labourPerHour ?? 0),
    money: (amount: number) => new Intl.NumberFormat('en', { style: 'currency', currency: currency.value, maximumFractionDigits: amount >= 100 ? 0 : 2 }).format(amount),
  }
}
