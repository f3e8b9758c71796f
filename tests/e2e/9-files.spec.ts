import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, House, otherPerson, test } from './house'

// A file that was taken along is there without a connection.
test.use({ serviceWorkers: 'allow' })

const PERMIT = Buffer.from('%PDF-1.4 a permit for hot work\n')

test('a permit is added to a site, read and taken along by the crew, goes with the site’s ZIP, and is taken away @long', async ({
  page,
  house,
  browser,
}) => {
  await page.goto('/sites/holm-point')
  const files = page.getByTestId('files')
  const add = (...given: { name: string, buffer: Buffer }[]) =>
    files.getByTestId('site-file').setInputFiles(given.map(file => ({ mimeType: 'application/pdf', ...file })))
  await add({ name: 'Hot work.pdf', buffer: PERMIT }, { name: 'Lift <b>5</b>.dwg', buffer: Buffer.from('lift') })
  await expect(files.getByRole('link', { name: /^Hot work\.pdf/ })).toContainText('Isla Brandt')
  await expect(files.getByRole('link', { name: /^Lift <b>5<\/b>\.dwg/ })).toBeVisible()
  // Another of the same name stands beside it; the very same one, an empty one and a large one are refused in words.
  await add({ name: 'Hot work.pdf', buffer: Buffer.from('another') })
  await expect(files.getByRole('link', { name: /^Hot work \(2\)\.pdf/ })).toBeVisible()
  await add({ name: 'again.pdf', buffer: PERMIT }, { name: 'empty.pdf', buffer: Buffer.alloc(0) })
  await expect(files.getByRole('alert')).toHaveText([
    'again.pdf: This file is already here, as “Hot work.pdf”.',
    'empty.pdf: “empty.pdf” is empty.',
  ])
  const large = join(house.data, 'large.pdf')
  writeFileSync(large, Buffer.alloc(25 * 1024 * 1024 + 1, 32))
  await files.getByTestId('site-file').setInputFiles(large)
  await expect(files.getByRole('alert')).toHaveText('large.pdf: A file can have at most 25 MB; this one is larger.')
  // What is said of the place is saved after that without anybody being told that he was late.
  await page.getByText('Add contact').click()
  await page.getByRole('region', { name: 'Contacts' }).getByLabel('Name').fill('Ebba Lind')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Remove Ebba Lind' })).toBeVisible()

  const odd = await otherPerson(browser, house, 'Odd Varga')
  await odd.goto('/sites/holm-point')
  await odd.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await odd.reload()
  await expect(odd.getByTestId('files').getByRole('link', { name: /^Hot work\.pdf/ })).toBeVisible()
  await expect(odd.getByTestId('site-file')).toHaveCount(0)
  await odd.getByRole('button', { name: /^Save for offline/ }).click()
  await expect(odd.getByTestId('taken')).toContainText('4 files')
  await odd.context().setOffline(true)
  await odd.reload()
  const [download] = await Promise.all([
    odd.waitForEvent('download'),
    odd
      .getByTestId('files')
      .getByRole('link', { name: /^Hot work\.pdf/ })
      .click(),
  ])
  expect(download.suggestedFilename()).toBe('Hot work.pdf')
  expect(readFileSync(await download.path())).toEqual(PERMIT)
  // Once he has signed out nothing of it is left on the device.
  const isKept = (address: string) =>
    odd.evaluate(async address => (await caches.match(address)) !== undefined, address)
  const address = new URL(download.url()).pathname
  expect(await isKept(address)).toBe(true)
  await odd.context().setOffline(false)
  await odd.goto('/account')
  await odd.getByRole('button', { name: 'Sign out and erase data' }).click()
  await expect(odd).toHaveURL(/\/sign-in/)
  expect(await isKept(address)).toBe(false)
  await odd.context().close()

  const [zip] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export ZIP with files' }).click(),
  ])
  const there = await House.open(undefined, true)
  try {
    const brought = await there.api('/sites/archive?copy=1', {
      method: 'POST',
      body: new Uint8Array(readFileSync(await zip.path())),
      headers: { 'content-type': 'application/zip' },
    })
    expect(JSON.parse(brought.body)).toMatchObject({ id: 'holm-point-2', files: 4, leftOut: [] })
    const { site } = JSON.parse((await there.api('/sites/holm-point-2')).body)
    expect(site.files.map(({ name }: { name: string }) => name)).toEqual([
      'Night access.txt',
      'Hot work.pdf',
      'Lift <b>5</b>.dwg',
      'Hot work (2).pdf',
    ])
    expect(await there.file(`/sites/holm-point-2/files/${site.files[1].file}`)).toEqual(PERMIT)
    // The site that was there already has none of them.
    expect((await there.api(`/sites/holm-point/files/${site.files[1].file}`)).status).toBe(404)
  }
  finally {
    await there.close()
  }

  await files.getByRole('button', { name: 'Delete Hot work.pdf' }).click()
  await files.getByRole('button', { name: 'Cancel' }).click()
  await files.getByRole('button', { name: 'Delete Hot work.pdf' }).click()
  await files.getByRole('button', { name: 'Delete file' }).click()
  await expect(files.getByRole('link', { name: /^Hot work\.pdf/ })).toHaveCount(0)
  await page.reload()
  await expect(files.getByRole('link', { name: /^Hot work \(2\)\.pdf/ })).toBeVisible()
  await expect(files.getByRole('link', { name: /^Hot work\.pdf/ })).toHaveCount(0)
})
