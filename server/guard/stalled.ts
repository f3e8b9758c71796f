import type { H3Event } from 'h3'

/** A body of which nothing more came for so long is not waited for, ms. */
const STALLED = 20_000

/** Closes a connection whose request came half and then nothing more, so that nobody holds one open for nothing. */
export function closeWhenStalled({ node: { req, res } }: H3Event): void {
  if (req.complete) return
  const still = () => req.setTimeout(0)
  req.setTimeout(STALLED, () => { if (!req.complete) req.destroy() })
  req.once('end', still)
  res.once('finish', still)
}
