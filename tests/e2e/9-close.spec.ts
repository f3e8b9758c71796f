import { execFile } from 'node:child_process'
import { createHash } from 'node:crypto'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import type { Page } from '@playwright/test'
import canonicalize from 'canonicalize'
import DxfParser from 'dxf-parser'
import Papa from 'papaparse'
import { toBuffer } from 'qrcode'
import sharp from 'sharp'
import { fromBuffer } from 'yauzl'
import { pdfText } from '../fixtures/pdfText'
import { expect, HALL, saved, scribble, test } from './house'

const LOUNGE = '/sites/ravel-sands/walls/lounge'
const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click()

/** The files of a ZIP, by their names. */
function unzipped(zip: Buffer): Promise<Map<string, Buffer>> {
  return new Promise((done, fail) => fromBuffer(zip, { lazyEntries: true }, (error, file) => {
    if (error) return fail(error)
    const found = new Map<string, Buffer>()
    file
      .on('end', () => done(found))
      .on('error', fail)
      .on('entry', (entry: { fileName: string }) =>
        file.openReadStream(entry as never, (error, stream) => {
          if (error) return fail(error)
          const chunks: Buffer[] = []
          stream
            .on('data', (chunk: Buffer) => chunks.push(chunk))
            .on('end', () => {
              found.set(entry.fileName, Buffer.concat(chunks))
              file.readEntry()
            })
        }),
      )
    file.readEntry()
  }))
}
test('a wall is closed: serials, locks, points, photograph, signature; and its pack is read back without the product', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/close`)
  await expect(page.getByTestId('missing')).toContainText('36 of 36 holes are not recorded as drilled')
  await tab(page, 'Screens')
  const serial = async (screen: string, text: string) => {
    await page.getByLabel(`Serial number of ${screen}`).fill(text)
    await page.getByLabel(`Serial number of ${screen}`).press('Enter')
  }
  await serial('R1 C1', 'KN46-77001')
  // The same number at another screen is refused beside it, and nothing is kept.
  await serial('R1 C2', 'kn46-77001')
  await expect(page.locator('[data-serial="departures-r1c2"]').getByRole('alert')).toContainText(
    'is already recorded for R1 C1',
  )
  await serial('R1 C2', 'KN46-77002')
  await expect(page.locator('[data-serial="departures-r1c2"]').getByRole('alert')).toHaveCount(0)
  // Read off a picture of its label, where no camera is to be had.
  await page.getByRole('button', { name: 'Read the label of R2 C1 by camera' }).click()
  await page
    .getByTestId('label-picture')
    .setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer: await toBuffer('KN46-77004', { width: 300 }) })
  await expect(page.getByLabel('Serial number of R2 C1')).toHaveValue('KN46-77004')
  await page.getByRole('button', { name: 'Mark all locked' }).click()
  await expect(page.getByRole('button', { name: 'R3 C3 locked' })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: 'R3 C3 locked' }).click()

  await tab(page, 'Handover')
  await page.getByRole('button', { name: 'Show pattern' }).click()
  await expect(page.getByRole('img', { name: 'Test pattern of the whole wall' })).toBeVisible()
  await page.keyboard.press('PageDown')
  await expect(page.getByRole('img', { name: 'Test pattern, R1 C1 only' })).toBeVisible()
  await page.getByRole('button', { name: 'Back to the drawing' }).click()
  await page.getByRole('button', { name: 'Record pass' }).click()
  await page.getByRole('button', { name: 'Add snag' }).click()
  await expect(page.getByText('Enter a due date.')).toBeVisible()
  await page.getByLabel('Snag', { exact: true }).fill('Touch up the paint by the door')
  await page.getByLabel('Owner', { exact: true }).fill('Odd Varga')
  await page.getByLabel('Due', { exact: true }).fill('2026-12-04')
  await page.getByRole('button', { name: 'Add snag' }).click()
  await expect(page.locator('[data-point]')).toContainText('Touch up the paint by the door')
  await page.getByLabel('Note on the photo').fill('the finished wall')
  await page.getByTestId('photo').setInputFiles({
    name: 'wall.jpg',
    mimeType: 'image/jpeg',
    buffer: await sharp({ create: { width: 60, height: 40, channels: 3, background: '#446' } })
      .jpeg()
      .toBuffer(),
  })
  await expect(page.getByRole('img', { name: 'the finished wall' })).toBeVisible()
  await page.getByLabel('Client remark', { exact: true }).fill('Please leave a key.')
  await page.getByRole('button', { name: 'Save remark' }).click()

  await page.getByRole('button', { name: 'Save signature' }).click()
  await expect(page.getByText('Enter the name')).toBeVisible()
  await page.getByLabel('Name').fill('Mara Lind')
  await page.getByRole('button', { name: 'Save signature' }).click()
  await expect(page.getByText('Sign in the box.')).toBeVisible()
  await scribble(page)
  await page.getByRole('button', { name: 'Save signature' }).click()
  await expect(page.getByTestId('signature')).toContainText('Mara Lind')
  await saved(page)

  const download = page.waitForEvent('download')
  await page.getByTestId('pack-zip').click()
  expect((await download).suggestedFilename()).toBe('holm-point-ticket-hall-handover.zip')
  const zip = () => house.file(`${HALL}/handover?format=zip`)
  const pack = await zip()
  expect(Buffer.compare(pack, await zip())).toBe(0)
  const files = await unzipped(pack)
  expect([...files.keys()].filter(name => name.startsWith('photos/'))).toHaveLength(1)
  const pages = await pdfText(files.get('handover.pdf')!)
  for (const part of [
    'Open items',
    'Sign-off',
    'Mara Lind',
    'KN46-77002',
    'Touch up the paint by the door',
    'Please leave a key.',
    'Removal steps',
  ])
    expect(pages.flat().join('\n')).toContain(part)
  expect(Papa.parse(files.get('schedule/holes.csv')!.toString('utf8').trim(), { header: true }).data).toHaveLength(36)
  expect(
    new DxfParser().parseSync(files.get('drawings/as-built.dxf')!.toString('utf8'))!.entities.length,
  ).toBeGreaterThan(20)
  let prev = ''
  for (const { hash, ...told } of JSON.parse(files.get('log.json')!.toString('utf8')) as {
    hash: string
    prev: string
  }[]) {
    expect(told.prev).toBe(prev)
    expect(createHash('sha256').update(canonicalize(told)!).digest('hex')).toBe(hash)
    prev = hash
  }
  const job = join(house.data, 'pack.json')
  writeFileSync(job, files.get('job.json')!)
  const { stdout } = await promisify(execFile)('npm', ['run', '-s', 'wt', '--', 'log', 'verify', job])
  expect(stdout).toContain('entries are valid')

  // The site's page says so too.
  await page.goto('/sites/holm-point')
  await expect(page.getByTestId('chain')).toContainText('Intact:')
})

test('a screen is replaced two years on: what is behind it, how it comes out, what has changed', async ({
  page,
  house,
}) => {
  // Its code on the sheet opens it for service.
  await page.goto(LOUNGE)
  await expect(page).toHaveURL(/\/close$/)
  await expect(page.getByTestId('inspection')).toContainText('2026-10-14')
  await expect(page.getByTestId('trend')).toContainText(/Worst gap \+0\.\d+ mm per year/)
  await page.getByLabel('Screen', { exact: true }).selectOption({ label: 'R2 C2' })
  const behind = page.getByLabel('Behind this screen')
  await expect(behind).toContainText('Torve C8 × 65 wedge anchor')
  await expect(behind).toContainText('Board L, circuit 12')
  await expect(behind).toContainText('Harbour electrics')
  await expect(page.getByLabel('Removal steps')).toContainText('it pulls out to 312 mm from the wall')
  const models = await page.getByLabel('Replacement model').locator('option').allTextContents()
  await page
    .getByLabel('Replacement model')
    .selectOption({ label: models.find(name => name.includes('current model'))! })
  await expect(page.getByTestId('changes')).toContainText('The case is the same size')
  await page.getByRole('button', { name: 'Record replacement' }).click()
  await expect(page.getByText('Enter the serial number of the new screen.')).toBeVisible()
  await page.getByLabel('Serial number').fill('KL46-2611-3001')
  await page.getByRole('button', { name: 'Record replacement' }).click()
  await expect(behind).toContainText('serial KL46-2611-3001')
  await page.getByLabel('Purpose of the visit').selectOption('inspection')
  await page.getByLabel('Work done and findings').fill('R2 C2 renewed, all locks tried')
  await page.getByRole('button', { name: 'Record visit' }).click()
  await expect(page.getByTestId('visit').last()).toContainText('all locks tried')
  // Looked at today, it is due in a year.
  await expect(page.getByTestId('inspection')).not.toContainText('overdue')
  await saved(page)
  const { log } = (await house.wall('ravel-sands', 'lounge')).job
  expect(log.slice(-3)).toMatchObject([
    { kind: 'replaced', screen: 'lounge-r2c2', by: 'Isla Brandt' },
    { kind: 'serial', serial: 'KL46-2611-3001' },
    { kind: 'visit', purpose: 'inspection' },
  ])
})

test('the client reads and signs by a link without an account, which ends when it is taken back', async ({
  page,
  house,
  browser,
}) => {
  await page.goto(`${HALL}/close`)
  await tab(page, 'Handover')
  await page.getByRole('button', { name: 'Create link' }).click()
  await expect(page.getByText('must name the person it is for')).toBeVisible()
  await page.getByLabel('Client', { exact: true }).fill('Harbour office')
  await page.getByRole('button', { name: 'Create link' }).click()
  const link = await page.getByTestId('made-link').inputValue()
  expect(new URL(link).pathname).toMatch(/^\/handover\/[\w-]{36}\.[\w-]{32}$/)

  const client = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await client.goto(link)
  await expect(client.getByRole('heading', { name: 'Ticket hall, east wall, Holm Point' })).toBeVisible()
  await client.getByRole('button', { name: 'Sign off' }).click()
  await expect(client.getByRole('alert')).toContainText('Enter your name')
  await client.getByLabel('Your name').fill('Mara Lind')
  await client.getByLabel('Remarks (optional)').fill('A key for the harbour office, please.')
  await scribble(client)
  await client.getByRole('button', { name: 'Sign off' }).click()
  await expect(client.getByRole('status')).toContainText('Thank you')
  await expect(client.getByTestId('client-signature')).toContainText('Mara Lind')
  // The open wall hears of it by itself.
  await expect(page.getByTestId('signature')).toContainText('Mara Lind')
  await expect(page.getByLabel('Remarks')).toContainText('A key for the harbour office')
  const secret = new URL(link).pathname.split('/').at(-1)!
  const pdf = await house.api(`/handover/${secret}/pdf`)
  expect([pdf.status, pdf.headers.get('content-type')]).toEqual([200, 'application/pdf'])
  // Nothing but this wall is reached by it, and nothing is signed without ink.
  expect((await house.api(`/handover/${secret}x`)).status).toBe(404)
  expect(
    (
      await house.api(`/handover/${secret}/sign`, {
        method: 'POST',
        body: JSON.stringify({ id: 'x1', name: 'Nobody' }),
      })
    ).status,
  ).toBe(422)

  await page.getByRole('button', { name: 'Revoke' }).click()
  await expect(page.locator('[data-link]')).toContainText('revoked')
  await client.reload()
  await expect(client.getByRole('alert')).toContainText('revoked')
  expect((await house.api(`/handover/${secret}/pdf`)).status).toBe(410)
})
