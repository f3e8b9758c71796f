const MB = 1024 * 1024

/**
 * Limits that keep a file within what can be built and computed; what is taken in piece by piece can be taken in as a
 * whole.
 */
export const LIMITS = {
  wall: 100_000,
  screens: 2_500,
  walls: 200,
  arrays: 50,
  members: 1_000,
  readings: 5_000,
  log: 100_000,
  models: 2_000,
  faults: 100,
  member: 200,
  /** So many entries at the end of a log are for what leads and planners decide. */
  reserve: 5_000,
  /** Bytes of a request where nobody is signed in, and of a client's through a link; values in the JSON of any. */
  strangersBytes: 16 * 1024,
  linkBytes: 64 * 1024,
  values: 250_000,
  /** Values in the JSON of a job file, which holds a whole log; and how deep values lie in each other. */
  jobValues: 5_000_000,
  deepest: 64,
  /** Values in what was frozen of one wall: some thousand a screen. */
  frozenValues: 500_000,
  /** So many entries of the log are taken at once. */
  entriesAtOnce: 500,
  /**
   * Bytes of one request, of what is issued, of a job file, of a picture, of another file of a site and of an archive
   * with pictures; and a picture's pixels.
   */
  bodyBytes: 5 * MB,
  frozenBytes: 40 * MB,
  jobBytes: 100 * MB,
  photoBytes: 15 * MB,
  fileBytes: 25 * MB,
  archiveBytes: 2_000 * MB,
  photoPixels: 50_000_000,
}
