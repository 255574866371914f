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
