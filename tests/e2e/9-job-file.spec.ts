import { execFile } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { expect, fill, HALL, House, saved, test } from './house'

test('a site goes to another machine as a file and comes back the same @long', async ({ page, house }) => {
  await page.goto(`${HALL}/arrange`)
  await fill(page, 'Height above floor', '900')
  await saved(page)
  await page.goto('/sites/holm-point')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export job file' }).click(),
  ])
  const file = join(house.data, 'holm-point.json')
  await download.saveAs(file)
  const text = readFileSync(file, 'utf8')
  expect(JSON.parse(text)).toMatchObject({ format: 'wide-trellis-job', version: 1 })

  const other = await House.open()
  try {
    await other.signIn(page.context())
    await page.goto(other.address)
    // This machine has a site of that name: it says so, and takes the file as a copy.
    await page.getByTestId('job-file').setInputFiles(file)
    await expect(page.getByRole('alert')).toContainText('already exists')
    await page.getByRole('button', { name: 'Import as a copy' }).click()
    await expect(page.getByRole('heading', { name: 'Holm Point (copy)' })).toBeVisible()
    const copy = JSON.parse((await other.api('/sites/holm-point-2/job')).body)
    // A copy is a real site, and no demo.
    const { site: { demo: _, ...site }, ...rest } = JSON.parse(text)
    expect({ ...copy, site: { ...copy.site, id: 'holm-point', name: 'Holm Point' } }).toEqual({ ...rest, site })
  }
  finally {
    await other.close()
  }

  // A site this machine does not have comes back to the letter.
  const renamed = text.replace('"id": "holm-point"', '"id": "holm-north"').replace(/\n *"demo": true,?/, '')
  const second = join(house.data, 'holm-north.json')
  writeFileSync(second, renamed)
  await house.signIn(page.context())
  await page.goto('/')
  await page.getByTestId('job-file').setInputFiles(second)
  await expect(page).toHaveURL(/holm-north$/)
  expect((await house.api('/sites/holm-north/job')).body).toBe(renamed)
})

test('a broken file is refused with every fault by its path, and keeps nothing', async ({ page, house }) => {
  const job = JSON.parse(readFileSync('demo/holm-point.json', 'utf8'))
  job.site.id = 'broken'
  job.walls[0].width = -5
  job.walls[0].arrays[0].orientation = 'sideways'
  delete job.catalogue.mounts[0].plate.slots
  const file = join(house.data, 'broken.json')
  writeFileSync(file, JSON.stringify(job))
  await page.goto('/')
  await page.getByTestId('job-file').setInputFiles(file)
  for (const path of ['$.walls[0].width', '$.walls[0].arrays[0].orientation', '$.catalogue.mounts[0].plate.slots']) {
    await expect(page.getByRole('alert')).toContainText(path)
  }
  writeFileSync(file, '{ "format": ')
  await page.getByTestId('job-file').setInputFiles(file)
  await expect(page.getByRole('alert')).toContainText('is not a job file')
  expect(JSON.parse((await house.api('/sites')).body)).toHaveLength(3)
})

test('the command line prints the same plan as the server', async ({ house }) => {
  const file = join(house.data, 'out.json')
  writeFileSync(file, (await house.api('/sites/holm-point/job')).body)
  const { stdout } = await promisify(execFile)('npm', ['run', '-s', 'wt', '--', 'plan', file], { maxBuffer: 1e8 })
  const printed = JSON.parse(stdout)
  expect(printed).toMatchObject({ format: 'wide-trellis-plan', version: 1 })
  expect(JSON.parse((await house.api(`${HALL}/plan`)).body).walls[0]).toEqual(printed.walls[0])
})
