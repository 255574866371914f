import fc from 'fast-check'

/** What tests draw is drawn alike in every run; the long proofs draw anew, and print by what seed something fell. */
if (!process.env.ELDRIN_LONG) fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: 20260302 })
