import type { BrowserContext, Page } from '@playwright/test'
import { brokenLink } from '../../core/log/chain'
import { cases } from '../fixtures/soak'
import { expect, fill, HALL, type House, saved, test } from './house'

test.use({ serviceWorkers: 'allow' })

/** One dot, as PNG. */
const PICTURE = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

/** A browser of its own, in somebody's name. */
async function device(page: Page, house: House, name: string): Promise<{ context: BrowserContext, page: Page }> {
  const context = await page
    .context()
    .browser()!
    .newContext({ baseURL: house.address, viewport: { width: 1280, height: 800 } })
  await house.signIn(context, name)
  return { context, page: await context.newPage() }
}

/** So many holes before the browser is closed, so many in all, and so many steps: 60 results in the full form. */
const DAY = { before: cases(5, 20), holes: cases(9, 36), steps: cases(5, 24) }

test('a day without a signal: many results and three photographs, nothing lost and nothing twice', async ({
  page,
  house,
}) => {
  test.slow()
  const odd = await device(page, house, 'Odd Varga')
  await odd.page.goto('/sites/holm-point')
  await odd.page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await odd.page.reload()
  await odd.page.getByRole('button', { name: /^Save for offline/ }).click()
  // It goes on when the page is left.
  await odd.page.keyboard.press('s')
  await expect(odd.page).toHaveURL(/\/$/)
  await odd.page.goBack()
  await expect(odd.page.getByTestId('taken')).toContainText('2 walls')
  await expect(odd.page.getByTestId('taken')).toContainText('MB')
  await odd.page.close()

  await odd.context.setOffline(true)
  let wall = await odd.context.newPage()
  await wall.goto(`${HALL}/hang`)
  await expect(wall.getByTestId('hole-name')).toHaveText('R1 C1 top 1')
  for (let n = 0; n < DAY.before; n++) {
    await wall.keyboard.press('h')
    await expect(wall.getByText(`${n + 1} drilled`)).toBeVisible()
  }
  // Another device goes on meanwhile, with a signal.
  const isla = await device(page, house, 'Isla Brandt')
  await isla.page.goto(`${HALL}/hang`)
  await isla.page.getByRole('tab', { name: 'Steps' }).click()
  for (let n = 0; n < 4; n++) {
    await expect(isla.page.getByTestId('step-count')).toContainText(`${n} done`)
    await isla.page.getByRole('button', { name: 'Done', exact: true }).click()
  }
  await saved(isla.page)

  // Closed and opened again, still from the device alone.
  await wall.close()
  wall = await odd.context.newPage()
  await wall.goto(`${HALL}/hang`)
  await expect(wall.getByText(`${DAY.before} drilled`)).toBeVisible()
  for (let n = DAY.before; n < DAY.holes; n++) {
    await wall.keyboard.press('h')
    await expect(wall.getByText(`${n + 1} drilled`)).toBeVisible()
  }
  await wall.getByRole('tab', { name: 'Steps' }).click()
  // A row of holes that are all drilled is a step that is done, whoever says so.
  const done = async () => Number(/(\d+) done/.exec(await wall.getByTestId('step-count').innerText())?.[1])
  const before = await done()
  for (let n = 0; n < DAY.steps; n++) {
    if (n < 3) {
      await wall
        .getByTestId('photo')
        .setInputFiles({ name: `${n}.png`, mimeType: 'image/png', buffer: Buffer.concat([PICTURE, Buffer.from([n])]) })
      await expect(wall.getByAltText('Photo of this step')).toBeVisible()
    }
    await wall.keyboard.press('d')
    await expect(wall.getByTestId('step-count')).toContainText(`step ${n + 2} of`)
  }
  expect(await done()).toBeGreaterThan(before)
  await expect(wall.getByTestId('save-state')).toHaveAttribute('data-state', 'offline')

  await odd.context.setOffline(false)
  await saved(wall)
  const { log } = JSON.parse((await house.api('/sites/holm-point/job')).body)
  const of = (by: string, kind: string) =>
    log.filter((entry: { by: string, kind: string }) => entry.by === by && entry.kind === kind)
  expect(of('Odd Varga', 'hole')).toHaveLength(DAY.holes)
  expect(of('Odd Varga', 'step').filter(({ done }: { done: boolean }) => done)).toHaveLength(DAY.steps)
  expect(of('Isla Brandt', 'step')).toHaveLength(4)
  expect(new Set(log.map(({ id }: { id: string }) => id)).size).toBe(log.length)
  expect(brokenLink(log)).toBeUndefined()
  const photos = new Set(of('Odd Varga', 'step').flatMap(({ photo }: { photo?: string }) => photo ?? []))
  expect(photos.size).toBe(3)
  for (const photo of photos) expect((await house.api(`/sites/holm-point/photos/${String(photo)}`)).status).toBe(200)
  // What each recorded stands in the order in which he recorded it.
  expect(of('Odd Varga', 'hole').map(({ at }: { at: string }) => at)).toEqual(
    of('Odd Varga', 'hole')
      .map(({ at }: { at: string }) => at)
      .sort(),
  )
  // The other sees all of it without asking.
  await isla.page.getByRole('tab', { name: 'Holes' }).click()
  await expect(isla.page.getByText(`${DAY.holes} drilled`)).toBeVisible()
  await odd.context.close()
  await isla.context.close()
})

test('two crews on one wall see each other’s holes, and neither reloads @long', async ({ page, house }) => {
  const [odd, isla] = [await device(page, house, 'Odd Varga'), await device(page, house, 'Isla Brandt')]
  for (const each of [odd, isla]) {
    await each.page.goto(`${HALL}/hang`)
    await expect(each.page.getByTestId('hole-name')).toHaveText('R1 C1 top 1')
  }
  await odd.page.keyboard.press('h')
  await expect(isla.page.getByTestId('hole-record')).toContainText('Odd Varga')
  await isla.page.keyboard.press('ArrowRight')
  await isla.page.keyboard.press('h')
  await expect(odd.page.getByTestId('hole-record')).toContainText('Isla Brandt')
  await saved(odd.page)
  await odd.context.close()
  await isla.context.close()
})

test('a revision that was issued while a device was away is shown before anything more is drilled, made holes first', async ({
  page,
  house,
}) => {
  const odd = await device(page, house, 'Odd Varga')
  await odd.page.goto(`${HALL}/hang`)
  await expect(odd.page.getByTestId('hole-name')).toHaveText('R1 C1 top 1')
  await odd.page.keyboard.press('h')
  await expect(odd.page.getByText('1 drilled')).toBeVisible()
  await saved(odd.page)
  await odd.context.setOffline(true)
  await odd.page.keyboard.press('h')
  await expect(odd.page.getByText('2 drilled')).toBeVisible()
  await expect(odd.page.getByTestId('save-state')).toHaveAttribute('data-state', 'offline')

  const isla = await device(page, house, 'Isla Brandt')
  await isla.page.goto(`${HALL}/arrange`)
  await fill(isla.page, 'From wall left', '2966')
  await saved(isla.page)
  await isla.page.goto(`${HALL}/mark`)
  await isla.page.getByRole('tab', { name: 'Revisions' }).click()
  await isla.page.getByRole('button', { name: 'Issue revision B' }).click()
  await expect(isla.page.getByTestId('issued-now')).toContainText('Revision B')
  await saved(isla.page)

  await odd.context.setOffline(false)
  await expect(odd.page.getByTestId('revision-changed')).toContainText('Revision B was issued')
  await expect(odd.page.getByTestId('revision-changed')).toContainText('You worked from A')
  await odd.page.getByRole('button', { name: 'Work from revision B' }).click()
  await expect(odd.page.getByText('revision B, ')).toBeVisible()
  await saved(odd.page)
  const { job } = await house.wall()
  expect(job.log.filter(({ kind }: { kind: string }) => kind === 'hole')).toHaveLength(2)
  await odd.context.close()
  await isla.context.close()
})
