import { gzipSync } from 'node:zlib'
import { atHand, expect, HALL, memberRow, test } from './house'

test('from the list of sites to a wall in the drafting cross, to scale', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: /^Holm Point ?2/ }).click()
  await page.locator('[data-wall=ticket-hall]').click()
  await expect(page).toHaveURL(new RegExp(`${HALL}/survey$`))

  const elevation = page.getByTestId('elevation')
  await expect(elevation).toHaveAccessibleName(/6200 mm wide and 3300 mm high, 16 studs, 1 arrays/)
  const box = async (selector: string) => (await page.locator(selector).first().boundingBox())!
  const wall = await box('[data-testid=elevation] > g > rect')
  const inSection = await box('[data-testid=section] g g rect')
  const inPlan = await box('[data-testid=plan] > g > rect')
  // One scale across and up; the section shares its heights, the plan its widths.
  expect(wall.width / wall.height).toBeCloseTo(6200 / 3300, 1)
  expect(Math.abs(inSection.height - wall.height)).toBeLessThan(2)
  expect(Math.abs(inSection.y - wall.y)).toBeLessThan(2)
  expect(Math.abs(inPlan.width - wall.width)).toBeLessThan(2)
  expect(Math.abs(inPlan.x - wall.x)).toBeLessThan(2)

  // The tape reads each member where it stands: member 5 is at 1690 of 6200.
  const reading = page.getByTestId('tape').locator('[data-tape] text').nth(4)
  await expect(reading).toHaveText('1690')
  const { x, width } = (await reading.boundingBox())!
  expect(Math.abs(x + width / 2 - (wall.x + wall.width * 1690 / 6200))).toBeLessThan(2)
})

test('pointing at a thing lights it in all three drawings and in the ledger', async ({ page }) => {
  await page.goto(`${HALL}/survey`)
  await memberRow(page, 5).hover()
  const flagged = (test: string) => page.getByTestId(test).locator('[stroke="var(--color-flag)"]')
  await expect(flagged('elevation')).toHaveCount(1)
  await expect(flagged('plan')).toHaveCount(1)
  await page.goto(`${HALL}/arrange`)
  await page.locator('[data-screen=departures-r2c2]').hover()
  await expect(flagged('elevation').first()).toBeVisible()
  await expect(flagged('section')).toHaveCount(1)
  await expect(flagged('plan')).toHaveCount(1)
  await expect(page.locator('[data-row=departures-r2c2]')).toHaveClass(/outline-flag/)
})

test('an address that is none says so', async ({ page }) => {
  await page.goto('/sites/holm-point/walls/nowhere/survey')
  await expect(page.getByText('Not found: this wall')).toBeVisible()
  await page.goto('/sites/nowhere')
  await expect(page.getByRole('alert')).toContainText('This site does not exist')
})

test('a wall is drawn at once by its last plan, and says so, but not in Mark or Hang', async ({ page }) => {
  const held: (() => void)[] = []
  await page.route('**/planner.worker*', async (route) => {
    await new Promise<void>((go) => { held.push(go) })
    await route.continue()
  })
  const kept = page.getByTestId('plan-kept')
  const screens = page.getByTestId('elevation').locator('[data-screen]')
  // A browser that has nothing draws by what the server knows. Nothing of this wall was issued.
  await page.goto('/sites/holm-point/walls/cafe/mount')
  await expect(kept).toHaveText('Last plan. Updating…')
  await expect(screens).toHaveCount(1)
  await expect(page.getByTestId('elevation').locator('[data-hole]').first()).toBeVisible()
  // Nothing can be marked or drilled by it.
  for (const stage of ['Mark', 'Hang']) {
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click()
    await expect(page.getByRole('region', { name: stage, exact: true })).toBeVisible()
    await expect(screens).toHaveCount(0)
    await expect(kept).toBeHidden()
  }
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Mount' }).click()
  await expect(kept).toBeVisible()
  held.splice(0).forEach(go => go())
  await expect(kept).toBeHidden()
  await expect(screens).toHaveCount(1)

  // From then on the device has it, whatever the server says, until he signs out.
  const keys = () => page.evaluate(async () => {
    const [{ name } = {}] = await indexedDB.databases()
    return new Promise<unknown[]>((answer) => {
      const opening = indexedDB.open(name!)
      opening.onsuccess = () => {
        const all = opening.result.transaction('plans').objectStore('plans').getAllKeys()
        all.onsuccess = () => {
          opening.result.close()
          answer(all.result)
        }
      }
    })
  })
  await expect.poll(keys).toEqual(['holm-point/cafe'])
  await page.route('**/drawn', route => route.abort())
  await page.reload()
  await expect(kept).toBeVisible()
  await expect(screens).toHaveCount(1)
  held.splice(0).forEach(go => go())
  await expect(kept).toBeHidden()
  await page.getByTestId('account').click()
  await page.getByRole('menuitem', { name: 'Your account' }).click()
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await expect(page).toHaveURL(/sign-in/)
  await expect.poll(keys).toEqual([])
})

test('a wall that somebody lost the right to is neither opened nor kept any more', async ({ page }) => {
  await page.goto(`${HALL}/mount`)
  await atHand(page)
  const json = { error: { code: 'not-found', message: 'There is no such wall.' } }
  // The server may answer late: the wall is drawn by then, and goes. It is asked more than once, and a question that is
  // still held as the page goes is never answered by anything else.
  let isAway = false
  await page.route('**/api/sites/holm-point/walls/ticket-hall', async (route) => {
    if (isAway) return route.abort()
    await new Promise(done => setTimeout(done, 3_000))
    await route.fulfill({ status: 404, json }).catch(() => {})
  })
  await page.reload()
  await expect(page.getByTestId('elevation')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'This wall cannot be opened' })).toBeVisible()
  // Nor without a connection.
  isAway = true
  await page.reload()
  await expect(page.getByText('The server cannot be reached.')).toBeVisible()
  await expect(page.getByTestId('elevation')).toHaveCount(0)
})

test('the first drawing of a wall takes no more script than it may', async ({ page }) => {
  await page.goto(`${HALL}/arrange`)
  await expect(page.getByTestId('elevation').locator('[data-screen]')).toHaveCount(9)
  await expect(page.getByTestId('plan-kept')).toBeHidden()
  const addresses = await page.evaluate(() => {
    const drawn = performance.getEntriesByName('wall-drawn')[0]!.startTime
    return performance.getEntriesByType('resource').filter(({ startTime }) => startTime < drawn).map(({ name }) => name)
      .filter(name => /\.js$/.test(name) && !/worker/.test(name))
  })
  const bodies = await Promise.all(addresses.map(async address => (await page.request.get(address)).body()))
  const sizes = bodies.map(body => gzipSync(body).length)
  expect(sizes.length).toBeGreaterThan(5)
  expect(sizes.reduce((a, b) => a + b, 0) / 1000).toBeLessThan(210)
})

test('a part that was not fetched when the connection was lost comes with the reload offered', async ({ page }) => {
  await page.route('**/_nuxt/SurveyBench*.css', route => route.abort('internetdisconnected'))
  await page.goto(`${HALL}/arrange`)
  const reload = page.getByTestId('missing-part')
  await page.getByTestId('load-ahead').click()
  await expect(reload).toBeVisible()
  await page.unroute('**/_nuxt/SurveyBench*.css')
  await reload.click()
  await atHand(page)
  await expect(reload).toHaveCount(0)
})
