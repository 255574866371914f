/** Keeps the Yard's lines up to date while the view is shown. */
export function useYardWatched() {
  const yard = useYardStore()
  let stop = () => {}
  onMounted(() => {
    stop = yard.watchYard()
  })
  onUnmounted(() => stop())
}
