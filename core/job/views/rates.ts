/** What a garage asks for: per hour, hundredths on top, and for coming out; all in its own money. */
export interface Rates {
  labourPerHour: number
  taxPercent: number
  partsMarginPercent: number
  callOut: number
  /** By which share of cases the hours asked for are enough; left out or `null`: the sum of likeliest minutes. */
  priceShare?: number | null
  /** By how many hundredths what is paid a year later counts less; nothing where it is left out. */
  laterPercent?: number
}
