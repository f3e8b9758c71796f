import type { Page } from '@playwright/test'
import sharp from 'sharp'
import type { Evidence, LogEntry } from '../../core/job'
import { itemName } from '../../core/job/itemName'
import { cases } from '../fixtures/soak'
import { atHand, expect, HALL, type House, otherPerson, saved, test } from './house'

/** So many readings are taken without a connection; 30 in the full form. */
const READINGS = cases(6, 30)

/** Takes a photo of a colour of its own, which goes with the next result. */
async function takePhoto(page: Page, background: string) {
  const buffer = await sharp({ create: { width: 60, height: 40, channels: 3, background } }).jpeg().toBuffer()
  await page.getByTestId('photo').setInputFiles({ name: 'hole.jpg', mimeType: 'image/jpeg', buffer })
  await expect(page.getByText('✓ Photo')).toHaveCount(1)
}

/** Both drill the first hole and photograph it, and neither knows of the other. */
async function drillBoth(odd: Page, ranveig: Page) {
  await takePhoto(odd, '#446')
  await odd.getByRole('button', { name: 'Hit' }).click()
  await saved(odd)
  await ranveig.getByRole('link', { name: /^Hang/ }).click()
  await expect(ranveig.getByTestId('hole-name')).toHaveText('R1 C1 top 1')
  await takePhoto(ranveig, '#a63')
  await ranveig.getByLabel('Note', { exact: true }).fill('board only')
  await ranveig.getByRole('button', { name: 'Other…' }).click()
  await ranveig.getByRole('button', { name: 'Void' }).click()
  await expect(ranveig.getByTestId('hole-record')).toContainText('board only')
  await ranveig.context().setOffline(false)
  await saved(ranveig)
}

/** The photos of both are there. */
async function bothPhotos(log: LogEntry[], house: House) {
  const photos = log.flatMap(entry => entry.kind === 'hole' && entry.photo ? [entry.photo] : [])
  expect(new Set(photos).size).toBe(2)
  for (const photo of photos) expect((await house.api(`/sites/holm-point/photos/${photo}`)).status).toBe(200)
}

test('a planner and two phones at one wall, one without a signal: everything of everybody is there, once', async ({
  browser,
  house,
}) => {
  test.slow()
  const before: Evidence[] = (await house.wall()).job.walls[0].evidence
  const [isla, ranveig, odd] = (await Promise.all(
    ['Isla Brandt', 'Ranveig Holt', 'Odd Varga'].map(name => otherPerson(browser, house, name)),
  )) as [Page, Page, Page]
  for (const page of [isla, ranveig]) {
    await page.goto(`${HALL}/survey`)
    await page.getByRole('tab', { name: /^Readings/ }).click()
    await atHand(page)
  }
  await odd.goto(`${HALL}/hang`)
  await expect(odd.getByTestId('hole-name')).toHaveText('R1 C1 top 1')

  await ranveig.context().setOffline(true)
  const add = async (page: Page, line: string) => {
    await page.getByLabel('Readings in one line').fill(line)
    await page.getByLabel('Readings in one line').press('Enter')
    await expect(page.getByLabel('Readings in one line')).toHaveValue('')
  }
  const hers = Array.from({ length: READINGS }, (_, n) => 3005 + 7 * n)
  for (const x of hers) await add(ranveig, `m ${x}`)
  const his = [4003, 4013, 4023]
  await add(isla, his.map(x => `m ${x}`).join(', '))
  await saved(isla)

  await drillBoth(odd, ranveig)

  const { job } = await house.wall()
  const evidence: Evidence[] = job.walls[0].evidence
  const places = evidence.map(({ x }) => x)
  expect(evidence).toHaveLength(before.length + hers.length + his.length)
  for (const x of [...hers, ...his]) expect(places.filter(place => place === x)).toHaveLength(1)
  const names = evidence.map(itemName)
  expect(new Set(names).size).toBe(names.length)
  expect(names.join()).not.toContain('new')

  // Nobody's result took the place of the other's: the hole is disputed until one is withdrawn.
  const results = (log: LogEntry[]) =>
    log.flatMap(entry =>
      entry.kind === 'hole' && entry.hole === 'departures-r1c1-top-1' ? [`${entry.by} ${entry.result}`] : [],
    )
  expect(results(job.log).slice(-2)).toEqual(['Odd Varga hit', 'Ranveig Holt void'])
  await bothPhotos(job.log, house)
  await odd.getByRole('button', { name: 'Back' }).click()
  for (const page of [ranveig, odd]) await expect(page.getByTestId('dispute')).toContainText('counts as not drilled')
  await expect(odd.getByRole('button', { name: 'This one holds' })).toHaveCount(0)
  await odd.getByRole('button', { name: 'Withdraw my result' }).click()
  for (const page of [ranveig, odd]) {
    await expect(page.getByTestId('dispute')).toHaveCount(0)
    await expect(page.getByTestId('hole-record')).toContainText('Void')
  }
  await saved(odd)
  expect(results((await house.wall()).job.log)).toEqual(results(job.log))
})
