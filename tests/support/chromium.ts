/** The machine's own browser, asking nothing of the world outside. */
export const chromiumPath = '/usr/bin/chromium-headless-shell'

export const quietArgs = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

/** The browser goes by the machine's own clock, whatever `bin/test --at` says: its processes spin under one that was moved. Its pages have a clock of their own. */
export const unmovedClock = { ...process.env, LD_PRELOAD: '' }
