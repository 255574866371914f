/** Nobody waits longer for a server that was told to stop, ms; posts are done long before. */
export const STOP_MS = 5_000

/** So long a process believes what it last heard of a device, ms; an ended one is out within it everywhere. */
export const BELIEVED_MS = 4_000

/** So often a stream looks whether its device is still in, ms. */
export const STILL_IN_MS = 4_000
