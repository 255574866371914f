/** What a garage asks for: per hour, hundredths on top, and for coming out; all in its own money. */
export interface Rates {
  labourPerHour: number
  taxPercent: number
  partsMarginPercent: number
  callOut: number
}
