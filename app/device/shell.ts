import { ref } from 'vue'
import { FETCH_LATER, TAKE_OVER } from '../../shell/messages'

const ADDRESS = '/service-worker.js'
/** The first load is over by then, and nobody waits for what is fetched. */
const QUIET_AFTER_MS = 4_000
const ASKS_AGAIN_MS = 30 * 60_000
const RUN_LOCK = 'eldrin-run-under-way'

/** Whether a newer version of Eldrin is on this device and waits to take over. */
export const newVersionWaits = ref(false)

let registration: ServiceWorkerRegistration | undefined

/** Keeps the shell on this device, so that it starts without signal, and hears of newer versions. */
export function openShell(): void {
  if (import.meta.dev || typeof navigator === 'undefined' || !navigator.serviceWorker) return
  setTimeout(() => void register().catch(() => {}), QUIET_AFTER_MS)
}

async function register(): Promise<void> {
  const { Workbox } = await import('workbox-window')
  const workbox = new Workbox(ADDRESS)
  workbox.addEventListener('waiting', () => {
    newVersionWaits.value = true
  })
  const shells = navigator.serviceWorker
  let isKept = shells.controller !== null
  shells.addEventListener('controllerchange', () => {
    // Another version has taken over, here or in another tab: this page's own parts are gone with the one before.
    if (isKept) location.reload()
    isKept = true
  })
  registration = await workbox.register()
  void shells.ready.then(({ active }) => active?.postMessage(FETCH_LATER))
  setInterval(() => void registration?.update().catch(() => {}), ASKS_AGAIN_MS)
}

/** Lets the newer version take over, and the page begin anew with it. @returns `false` while a run is under way in any tab */
export async function takeNewVersion(): Promise<boolean> {
  const takeOver = () => {
    registration?.waiting?.postMessage(TAKE_OVER)
    return true
  }
  if (!navigator.locks) return runsHere === 0 && takeOver()
  return navigator.locks.request(RUN_LOCK, { ifAvailable: true }, lock => lock !== null && takeOver())
}

/** Asks for the newer version; where no shell is kept on this device, the page is fetched anew. */
export async function fetchNewVersion(): Promise<void> {
  if (registration) await registration.update().catch(() => {})
  else location.reload()
}

let runsHere = 0

/** Says that a run is under way which no new version may break into. @returns how to say that it is over */
export function holdVersion(): () => void {
  runsHere++
  let letGo = () => {}
  const over = new Promise<void>(resolve => {
    letGo = resolve
  })
  void navigator.locks?.request(RUN_LOCK, { mode: 'shared' }, () => over)
  return () => {
    runsHere--
    letGo()
  }
}
