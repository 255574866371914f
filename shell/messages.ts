/** What a page tells the service worker: take over from the version before, now. */
export const TAKE_OVER = 'take-over'
/** What a page tells it when nothing else is going on: fetch the large parts, too. */
export const FETCH_LATER = 'fetch-later'
