let last: Promise<void> = Promise.resolve()

/**
 * Waits until it is one's turn for something that keeps the server busy for a moment: between any two there is room
 * for the caller for something small, however many come at once.
 */
export function turn(): Promise<void> {
  last = last.then(() => new Promise(done => setImmediate(done)))
  return last
}
