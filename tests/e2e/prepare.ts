import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, House } from './house'

/** Fills one folder with the demo, which each journey begins with a copy of; emptied once all are over. */
export default async function prepare() {
  const data = mkdtempSync(join(tmpdir(), 'wide-trellis-filled-'))
  const house = await House.open(data)
  // The demo's programme is worked out once the server answers.
  await expect
    .poll(
      async () =>
        JSON.parse((await house.api('/programme/published?from=2000-01-01T00:00:00Z&to=2100-01-01T00:00:00Z')).body)
          .length,
      { timeout: 60_000 },
    )
    .toBeGreaterThan(10)
  await house.stop()
  process.env.WT_FILLED_DATA = data
  return () => rmSync(data, { recursive: true, force: true })
}
