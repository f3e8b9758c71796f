import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, HALL, test } from './house'

const VIEWS = {
  'the programme': [
    '/programme',
    '/programme/week',
    '/programme/day',
    '/programme/stock',
    '/programme/learned',
    '/programme/crews',
  ],
  'the firm': [
    '/',
    '/people',
    '/audit',
    '/account',
    '/begin',
    '/join/none',
    '/catalogue',
    '/sites/holm-point',
    '/sites/holm-point/rules',
  ],
  'a wall': ['survey', 'arrange', 'mount', 'fix', 'wire', 'mark', 'hang', 'true', 'close'].map(
    stage => `${HALL}/${stage}`,
  ),
}

/** What may scroll by itself; the page of house rules is itself a list. */
const LISTS = [
  'Ledger',
  'People',
  'Audit log',
  'Findings',
  'Figures',
  'Models',
  'House rules',
  'Fasteners, best first',
  'Load cases',
  'Circuits and outlets',
  'As built',
  'List of walls',
  'Walls and visits',
  'About the site',
  'Schedule',
  'Publishing and selected task',
  'Week',
  'Day sheet',
  'Stock and vans',
  'Lessons learned',
  'Crews and hours',
  'Your account',
]

/** All rules in one theme; in the other those that a theme can break: contrast. */
const LOOKED_AT = {
  desk: { type: 'tag' as const, values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] },
  site: { type: 'rule' as const, values: ['color-contrast'] },
}

async function faultsIn(theme: keyof typeof LOOKED_AT, page: Page) {
  // As another tab would: what is drawn follows.
  await page.evaluate((theme) => {
    const [key, newValue] = ['wide-trellis:theme', theme]
    localStorage.setItem(key, newValue)
    dispatchEvent(new StorageEvent('storage', { key, newValue, storageArea: localStorage }))
  }, theme)
  await expect(page.locator('html')).toHaveAttribute('data-theme', theme)
  // Only what is wrong is listed, and no frame is looked into: pages here have none.
  const options = { runOnly: LOOKED_AT[theme], resultTypes: ['violations' as const] }
  const builder = new AxeBuilder({ page }).options(options).setLegacyMode(true)
  const { violations } = await builder.analyze()
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(
      ({ id, nodes }) =>
        `${theme} theme, ${id}: `
        + `${nodes.map(({ target, failureSummary }) => `${target.join(' ')} ${failureSummary}`).join('; ')}`,
    )
}

/** What axe finds in the page as it stands, in both themes; it is left in the desk theme. */
async function seriousFaults(page: Page) {
  const inSite = await faultsIn('site', page)
  return [...await faultsIn('desk', page), ...inSite]
}

/**
 * Waits until nothing more comes: an open wall hears from the server all the while, so that the network is never idle.
 */
async function drawn(page: Page) {
  const isWall = page.url().includes('/walls/') && !page.url().endsWith('/rules')
  if (isWall) await expect(page.getByTestId('load-ahead')).toBeVisible()
  else await page.waitForLoadState('networkidle')
  await page.evaluate(async () => {
    await document.fonts.ready
    for (let frame = 0; frame < 2; frame++) await new Promise(requestAnimationFrame)
  })
}

/** What of a page scrolls by itself, by its name. */
const scrolling = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('*')]
      .filter(
        element =>
          element.scrollHeight > element.clientHeight + 1 && /auto|scroll/.test(getComputedStyle(element).overflowY),
      )
      .map(element => element.getAttribute('aria-label') ?? element.tagName),
  )

test.describe('in both themes axe finds no serious fault', () => {
  for (const [name, views] of Object.entries(VIEWS)) {
    const title = `at ${name}, where at 1280 × 800 nothing scrolls but lists`
    test(name === 'a wall' ? title : `${title} @long`, async ({ page }) => {
      for (const view of views) {
        await page.goto(view)
        await expect(page.locator('h1').first()).toBeVisible()
        await drawn(page)
        expect.soft((await scrolling(page)).filter(name => !LISTS.includes(name)), view).toEqual([])
        expect
          .soft(
            await page.evaluate(
              () =>
                document.documentElement.scrollHeight <= innerHeight
                && document.documentElement.scrollWidth <= innerWidth,
            ),
            view,
          )
          .toBe(true)
        expect.soft(await seriousFaults(page), view).toEqual([])
      }
    })
  }

  test('where one signs in, by keys alone', async ({ browser, house }) => {
    const context = await browser.newContext({ baseURL: house.address })
    const page = await context.newPage()
    await page.goto('/')
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
    await page.keyboard.press('Tab')
    await expect(page.getByRole('button', { name: /^Isla Brandt/ })).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(page.getByTestId('account')).toContainText('Isla Brandt')
    await page.getByTestId('account').focus()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('menuitem', { name: 'Your account' })).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
    await page.keyboard.press('ArrowDown')
    await page.keyboard.press('Enter')
    await expect(page).toHaveURL(/\/(account|people)$/)
  })

  test('in the palette and on the sheet of keys', async ({ page }) => {
    await page.goto(`${HALL}/survey`)
    await expect(page.locator('h1').first()).toBeVisible()
    await page.keyboard.press('/')
    await expect(page.getByRole('combobox', { name: 'Search commands' })).toBeFocused()
    expect(await seriousFaults(page)).toEqual([])
    await page.keyboard.press('Escape')
    await page.keyboard.press('?')
    await expect(page.getByRole('heading', { name: 'Keyboard shortcuts' })).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
  })

  test('in Hang on a phone', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await page.goto(`${HALL}/hang`)
    await expect(page.getByTestId('hole-name')).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
    for (const panel of ['Prepare', 'Steps', 'Screens']) {
      await page.getByRole('tab', { name: panel, exact: true }).click()
      await expect(page.locator('h1, h2').last()).toBeVisible()
      expect(await seriousFaults(page), panel).toEqual([])
    }
  })

  test('in True and Close, part by part, and on the client’s page @long', async ({ page, house }) => {
    await page.goto('/sites/ravel-sands/walls/lounge/true')
    await page.getByRole('tab', { name: 'Turns' }).click()
    await expect(page.getByTestId('closes')).toBeVisible()
    expect(await seriousFaults(page), 'Turns').toEqual([])
    await page.getByRole('tab', { name: 'Study' }).click()
    await page.getByLabel('Simulated walls').selectOption('500')
    await page.getByRole('button', { name: 'Run study' }).click()
    await expect(page.locator('.apexcharts-canvas')).toHaveCount(2)
    expect(await seriousFaults(page), 'Study').toEqual([])
    await page.goto('/sites/ravel-sands/walls/lounge/close')
    await expect(page.getByTestId('trend')).toBeVisible()
    for (const panel of ['Service', 'As built', 'Screens', 'Handover']) {
      await page.getByRole('tab', { name: panel, exact: true }).click()
      expect(await seriousFaults(page), panel).toEqual([])
    }
    const made = await house.api('/sites/ravel-sands/walls/lounge/links', {
      method: 'POST',
      body: JSON.stringify({ client: 'Harbour office', days: 1 }),
    })
    await page.goto(new URL(JSON.parse(made.body).address).pathname)
    await expect(page.getByTestId('signature-field')).toBeVisible()
    expect(await seriousFaults(page), 'the client’s page').toEqual([])
  })

  test('in what is issued, compared and printed @long', async ({ page }) => {
    await page.goto('/sites/stennick/walls/departures-row/mark')
    await page.getByRole('tab', { name: 'Revisions' }).click()
    await page.getByRole('button', { name: 'Compare with A' }).click()
    await expect(page.getByTestId('difference')).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
    await page.getByRole('tab', { name: 'Sheets' }).click()
    await expect(page.getByTestId('template')).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
  })
})

test('at 1280 × 800 no part of a bench scrolls as a whole @long', async ({ page }) => {
  const parts = [
    [`${HALL}/survey`, ['Readings', 'Wall', 'Layers', 'Loads', 'Features', 'Flatness']],
    [`${HALL}/arrange`, ['Array', 'Screen', 'All', 'Picture', 'Viewers']],
    [`${HALL}/mount`, ['Plates', 'Remedies', 'Depth']],
    [`${HALL}/fix`, ['Into the wall', 'Drilling', 'Charts', 'Display']],
    [`${HALL}/wire`, ['Power', 'Boxes', 'Routes', 'Schedule']],
    [`${HALL}/mark`, ['Marking', 'Revisions', 'Sheets']],
    [`${HALL}/hang`, ['Prepare', 'Steps', 'Holes', 'Screens']],
    ['/sites/stennick/walls/departures-row/mark', ['Marking', 'Sheets']],
    ['/sites/stennick/walls/departures-row/survey', ['Wall', 'Layers', 'Loads']],
    ['/sites/holm-point/walls/cafe/arrange', ['Array', 'All']],
  ] as const
  for (const [view, panels] of parts) {
    await page.goto(view)
    for (const panel of panels) {
      await page.getByRole('tab', { name: panel, exact: true }).click()
      await drawn(page)
      const bench = page.locator('.bench > section')
      await expect(bench).toBeVisible()
      expect(
        await bench.evaluate(part => part.scrollHeight - part.clientHeight),
        `${view} ${panel}`,
      ).toBeLessThanOrEqual(1)
    }
  }
})

test('every action is in the palette, found by typing, with its key', async ({ page }) => {
  await page.goto(`${HALL}/survey`)
  await expect(page.getByTestId('elevation')).toBeVisible()
  await page.keyboard.press('Control+k')
  await expect(page.getByRole('combobox', { name: 'Search commands' })).toBeFocused()
  await page.keyboard.type('arra')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/arrange$/)
  await expect(page.locator('[data-testid=elevation] [data-screen]')).toHaveCount(9)
  await page.keyboard.press('/')
  await expect(page.getByRole('combobox', { name: 'Search commands' })).toBeFocused()
  await page.keyboard.type('rotate all')
  await expect(page.getByRole('option')).toContainText('R')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Orientation')).toHaveValue('portrait-cw')
  await page.locator('h1').click()
  await page.keyboard.press('u')
  await expect(page.getByLabel('Horizontal gap')).toHaveValue('1/32"')
})

test('the keyboard’s place is always seen', async ({ page }) => {
  await page.goto(`${HALL}/arrange`)
  await expect(page.getByTestId('elevation')).toBeVisible()
  const reached = new Set<string>()
  for (let n = 0; n < 30; n++) {
    await page.keyboard.press('Tab')
    const { place, outline } = await page.evaluate(() => {
      const element = document.activeElement!
      const { outlineStyle, outlineWidth } = getComputedStyle(element)
      const place = [...document.querySelectorAll('*')].indexOf(element)
      return {
        place: element === document.body ? 'nowhere' : `${element.tagName} ${place}`,
        outline: `${outlineStyle} ${outlineWidth}`,
      }
    })
    expect(place, `after ${n + 1} presses of Tab`).not.toBe('nowhere')
    expect(outline, place).toBe('solid 3px')
    reached.add(place)
  }
  // Each press goes on to something else.
  expect(reached.size).toBe(30)
})
