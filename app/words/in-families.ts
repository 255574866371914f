/** Lines under the family they name, families in the order in which their first line stands; those that name none come last, under `null`. */
export function inFamilies<T extends { family?: string | undefined }>(
  lines: readonly T[],
): [family: string | null, lines: T[]][] {
  const families = new Map<string | null, T[]>()
  for (const line of lines) {
    const family = line.family ?? null
    families.set(family, [...(families.get(family) ?? []), line])
  }
  const nobodys = families.get(null)
  families.delete(null)
  return [...families, ...(nobodys ? [[null, nobodys] as [null, T[]]] : [])]
}
