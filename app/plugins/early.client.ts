import { readAhead } from '../device/kept-job'

/** What every view waits for is read from the device while the rest of the page is still on its way: whose garage it is, and the job of the address. */
export default defineNuxtPlugin({
  name: 'early',
  parallel: true,
  setup() {
    const pinia = usePinia()
    const { pathname } = window.location
    // A customer's page is nobody's garage, and at the door it is not known whose.
    if (/^\/(?:s\/|join\/|sign-in)/.test(pathname)) return
    void useGarageStore(pinia).load()
    const jobId = /^\/jobs\/([0-9a-f-]{36})\//.exec(pathname)?.[1]
    if (!jobId) return
    readAhead(jobId)
    void import('../stores/device').then(({ useDeviceStore }) => useDeviceStore(pinia).hold(jobId))
  },
})
