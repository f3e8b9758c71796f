/** When something was done, as the reader writes dates; what a broken clock wrote stays as it is. */
export function whenOf(at: string): string {
  const date = new Date(at)
  return Number.isNaN(date.getTime()) ? at : date.toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })
}
