/** The server's time, by which two devices keep the same beat. */
export default defineRoute('anyone', () => ({ now: new Date().toISOString() }))
