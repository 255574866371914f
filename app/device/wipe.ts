/** What the browser keeps of a garage on this device is thrown away; who this device is, it stays. */
export async function forgetGarage(): Promise<void> {
  const kept = (await indexedDB.databases?.().catch(() => [])) ?? []
  await Promise.all(kept.flatMap(({ name }) => (name?.startsWith('eldrin') ? deleted(name) : [])))
}

/** Everything goes, for a device that was reported lost; the page begins anew. */
export async function wipe(): Promise<void> {
  await forgetGarage().catch(() => {})
  for (const name of (await globalThis.caches?.keys().catch(() => [])) ?? []) await caches.delete(name)
  localStorage.clear()
  location.assign('/sign-in?lost')
}

/** Whoever has it open is told to close it; whoever does not, loses it as soon as its page is gone. */
const deleted = (name: string): Promise<void> =>
  new Promise(resolve => {
    const asked = indexedDB.deleteDatabase(name)
    asked.onsuccess = asked.onerror = asked.onblocked = () => resolve()
  })
