/**
 * What devices and the server say to each other has a number. It is raised when a body, an answer or an event changes so that the Eldrin before
 * would misread it; a server still understands a device that is one behind.
 */
export const CONTRACT = 1

/** Says the number: of whoever asks, and, where the two do not understand each other, of the server. */
export const CONTRACT_HEADER = 'x-eldrin-contract'

/** The answer to whom the server does not understand; nothing was read. */
export const NOT_UNDERSTOOD = 426

/** Whether a server of one number understands a device of another. */
export const understands = (server: number, device: number): boolean => device === server || device === server - 1
