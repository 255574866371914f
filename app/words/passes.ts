import type { PassKind } from '../../core/fasteners'

/** What each pass is called and what is done in it. */
export const passNames: Record<PassKind, { name: string; what: string }> = {
  ease: { name: 'ease', what: 'Half a turn each, crosswise, so that it comes up flat.' },
  contact: { name: 'contact', what: 'Run each bolt down until its head just touches, a turn or two at a time.' },
  part: { name: 'part torque', what: 'Half the figure, crosswise, so that it comes down flat.' },
  full: { name: 'full torque', what: 'The figure, crosswise.' },
  angle: { name: 'angle', what: 'Turn each on by its angle, crosswise. Mark the heads first.' },
  check: { name: 'check lap', what: 'Once round the circle at the figure. Nothing should move.' },
  out: { name: 'out', what: 'The spring is slack now. Run them out; hold the part before the last.' },
}
