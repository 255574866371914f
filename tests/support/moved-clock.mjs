/** Loaded before the application in a test that lets days pass: its clock is ahead by what the test says. */
const RealDate = Date
let aheadMs = 0
process.on('message', ({ aheadMs: wanted }) => {
  aheadMs = wanted
  process.send({ aheadMs })
})
process.channel?.unref()

globalThis.Date = class Date extends RealDate {
  constructor(...given) {
    if (given.length > 0) super(...given)
    else super(RealDate.now() + aheadMs)
  }

  static now() {
    return RealDate.now() + aheadMs
  }
}
