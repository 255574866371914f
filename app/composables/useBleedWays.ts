import { shippedWays } from '../../core/hydraulics/shipped-ways'
import type { BleedPhysics } from '../../core/pack/bleeding'

/** The ways of bleeding of this job's layout as it stands now; where it brings none, those that ship. */
export function useBleedWays() {
  const { state } = useJob()
  const { pack } = usePack()
  const ways = computed(
    (): readonly BleedPhysics[] =>
      [pack.value?.bleeding, state.value.procedure!.bleeding].find(list => list?.some(way => way.advice?.length)) ??
      shippedWays,
  )
  return { ways, pack }
}
