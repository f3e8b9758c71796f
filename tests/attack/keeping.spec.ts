import { execFile } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import sharp from 'sharp'
import { brokenLink } from '../../core/log/chain'
import { expect, House, testAlone as test } from '../e2e/house'

const HALL = '/sites/holm-point/walls/ticket-hall'
const picture = (colour: string) =>
  sharp({ create: { width: 48, height: 36, channels: 3, background: colour } })
    .png()
    .toBuffer()
async function addPhoto(house: House, colour: string): Promise<string> {
  const { body } = await house.api('/sites/holm-point/photos', {
    method: 'POST',
    body: new Uint8Array(await picture(colour)),
    headers: { 'content-type': 'image/png', 'x-wide-trellis': 'photograph' },
  })
  return JSON.parse(body).photo
}
async function save(house: House, by: string, change: (wall: { [key: string]: unknown }) => void) {
  const { job, version } = await house.wall()
  change(job.walls[0])
  const { status } = await house.api(HALL, { method: 'PUT', body: JSON.stringify({ wall: job.walls[0], version, by }) })
  expect(status).toBe(200)
}
const script = (verb: string, args: string[], data: string) =>
  promisify(execFile)('npm', ['run', '-s', verb, '--', ...args], { env: { ...process.env, WT_DATA: data } })
const fetched = (house: House, path: string) => house.file(path)

test('a site goes out with its pictures and comes back with nothing lost: who saved it, what nobody knows, what a name may be', async ({
  page,
  house,
}) => {
  const photo = await addPhoto(house, '#a03020')
  await save(house, 'Isla Brandt', (wall) => {
    Object.assign(wall, { constructor: 'Bygg AS', toString: { by: 'hand' }, name: '東館 “East” / 2.exe' })
    Object.assign((wall.evidence as object[])[0]!, { photo })
  })
  await page.goto('/sites/holm-point')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export ZIP with files' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('holm-point.zip')
  const file = join(house.data, 'site.zip')
  await download.saveAs(file)

  const other = await House.open()
  try {
    await other.signIn(page.context())
    await page.goto(other.address)
    await page.getByTestId('job-file').setInputFiles(file)
    await expect(page.getByRole('alert')).toContainText('already exists')
    await page.getByRole('button', { name: 'Import as a copy' }).click()
    await expect(page.getByRole('heading', { name: 'Holm Point (copy)' })).toBeVisible()
    await expect(page.getByText('saved by Isla Brandt')).toBeVisible()
    const [before, after] = [
      JSON.parse((await house.api('/sites/holm-point/job')).body),
      JSON.parse((await other.api('/sites/holm-point-2/job')).body),
    ]
    // Heads were signed for the site under its own id.
    expect({ ...after, site: before.site, heads: before.heads }).toEqual(before)
    expect(after.walls[0]).toMatchObject({ constructor: 'Bygg AS', toString: { by: 'hand' } })
    expect(
      (await fetched(other, `/sites/holm-point-2/photos/${photo}`)).equals(
        await fetched(house, `/sites/holm-point/photos/${photo}`),
      ),
    ).toBe(true)
    // A picture belongs to its site.
    expect((await other.api(`/sites/stennick/photos/${photo}`)).status).toBe(404)
  }
  finally {
    await other.close()
  }
})

test('what is no archive is refused in words, and leaves nothing behind', async ({ house }) => {
  const zip = await fetched(house, '/sites/stennick/archive')
  const cut = zip.subarray(0, zip.length / 2)
  const damaged = Buffer.from(zip)
  damaged.fill(0x41, 60, 400)
  const sent = async (body: Buffer, query = '?copy=1') => {
    const answer = await house.api(`/sites/archive${query}`, {
      method: 'POST',
      body: new Uint8Array(body),
      headers: { 'content-type': 'application/zip' },
    })
    return [answer.status, JSON.parse(answer.body).error?.message ?? ''] as const
  }
  for (const [body, words] of [
    [Buffer.from('Dear diary'), /not a ZIP file/],
    [cut, /not a ZIP file/],
    [damaged, /job\.json|no ZIP file/],
    [Buffer.alloc(0), /not a ZIP file/],
  ] as const) {
    const [status, message] = await sent(body)
    expect([status, message]).toEqual([422, expect.stringMatching(words)])
  }
  expect((await sent(zip, ''))[0]).toBe(409)
  expect(JSON.parse((await house.api('/sites')).body)).toHaveLength(3)
})

test('a backup is made while people write, is whole, and is put back as it was', async ({ house }) => {
  const photo = await addPhoto(house, '#306080')
  await save(house, 'Isla Brandt', (wall) => { Object.assign((wall.evidence as object[])[0]!, { photo }) })
  const { file } = JSON.parse(
    (
      await house.api('/sites/holm-point/files?name=Permit.pdf', {
        method: 'POST',
        body: 'a permit',
        headers: { 'content-type': 'application/octet-stream', 'x-wide-trellis': 'file' },
      })
    ).body,
  ).site.files.at(-1)
  let under = true
  const writing = (async () => {
    for (let n = 0; under; n++) {
      await house.api(`${HALL}/log`, {
        method: 'POST',
        body: JSON.stringify({
          id: `w${n}`, at: new Date().toISOString(), by: 'Odd', wall: 'ticket-hall', kind: 'remark', note: 'x',
        }),
      })
      await save(house, 'Odd', (wall) => { wall.height = 3300 + n % 50 })
    }
  })()
  const [folder, data] = [
    join(mkdtempSync(join(tmpdir(), 'wide-trellis-backup-')), 'one'),
    join(mkdtempSync(join(tmpdir(), 'wide-trellis-restored-')), 'data'),
  ]
  await script('backup', [folder], house.data)
  under = false
  await writing
  expect(await script('backup', [folder], house.data).catch(({ stderr }: { stderr: string }) => stderr)).toContain(
    'is there already',
  )
  expect(await script('restore', [folder], house.data).catch(({ stderr }: { stderr: string }) => stderr)).toContain(
    'is in use by a server',
  )

  await script('restore', [folder], data)
  const restored = await House.open(data)
  const [now, then] = [await house.wall(), await restored.wall()]
  expect([then.version <= now.version, then.job.walls[0].evidence[0].photo]).toEqual([true, photo])
  const log = JSON.parse((await restored.api('/sites/holm-point/job')).body).log
  expect([brokenLink(log), now.job.log.slice(0, then.job.log.length)]).toEqual([undefined, then.job.log])
  expect((await fetched(restored, `/sites/holm-point/photos/${photo}`)).length).toBeGreaterThan(50)
  expect(String(await fetched(restored, `/sites/holm-point/files/${file}`))).toBe('a permit')
  await restored.close()

  // One that was changed since is not put back.
  const [name] = Object.keys(JSON.parse(readFileSync(join(folder, 'backup.json'), 'utf8')).files).filter(file =>
    file.startsWith('photos'),
  )
  writeFileSync(join(folder, name!), 'x')
  expect(await script('restore', [folder], data).catch(({ stderr }: { stderr: string }) => stderr)).toContain(
    'is not as it was made',
  )
})
