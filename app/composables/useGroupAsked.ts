/** The group of fasteners that the address names, where this job has it. */
export function useGroupAsked() {
  const { state } = useJob()
  const route = useRoute()
  const groups = computed(() => state.value.procedure?.groups ?? [])
  const group = computed(() => groups.value.find(entry => entry.id === route.params.group) ?? null)
  return { group, groups }
}
