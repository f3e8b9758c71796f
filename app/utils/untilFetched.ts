/** After so long a part that could not be fetched is asked for again, ms. */
const AGAIN = 2_000

/** Fetches a part of the application; where the connection is lost meanwhile, again until it is there. */
export async function untilFetched<Part>(fetchIt: () => Promise<Part>): Promise<Part> {
  for (;;) {
    try {
      return await fetchIt()
    }
    catch {
      await new Promise(done => setTimeout(done, AGAIN))
    }
  }
}
