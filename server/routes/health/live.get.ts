/** Whether the process answers at all, whatever becomes of the records. */
export default defineRoute('anyone', () => ({ live: true }))
