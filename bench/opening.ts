import { gzipSync } from 'node:zlib'
import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test'
import { signIn } from '../scripts/house.mjs'
import { CHROMIUM_FLAGS, findChromium } from '../scripts/chromium.mjs'
import { atMost, measured, type Row } from './row'

const RUNS = 7
const WALL = '/sites/holm-point/walls/ticket-hall'
const median = (times: number[]) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!

async function withBrowser<Result>(act: (browser: Browser) => Promise<Result>): Promise<Result> {
  const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_FLAGS })
  try {
    return await act(browser)
  }
  finally {
    await browser.close()
  }
}

/** Moments after the navigation, ms: a wall drawn by its last plan, its plan there, its bench there to work at. */
async function momentsOf(page: Page): Promise<{ drawn: number, planned: number, ready: number }> {
  const began = performance.now()
  await page.locator('[data-testid=elevation] [data-screen]').first().waitFor()
  await page.getByTestId('plan-kept').waitFor({ state: 'hidden' })
  const planned = performance.now() - began
  await page.getByRole('region', { name: 'Arrange' }).waitFor()
  const ready = performance.now() - began
  const drawn = await page.evaluate(() => performance.getEntriesByName('wall-drawn')[0]!.startTime)
  return { drawn, planned, ready }
}

/** Scripts that a page asked for before its wall was drawn, bytes gzipped; workers aside. */
async function scriptOf(page: Page): Promise<number> {
  const addresses = await page.evaluate(() => {
    const drawn = performance.getEntriesByName('wall-drawn')[0]!.startTime
    return performance
      .getEntriesByType('resource')
      .filter(({ name, startTime }) => /\.js$/.test(name) && !/worker/.test(name) && startTime < drawn)
      .map(({ name }) => name)
  })
  const sizes = await Promise.all(
    addresses.map(async address => gzipSync(Buffer.from(await (await fetch(address)).arrayBuffer())).length),
  )
  return sizes.reduce((a, b) => a + b, 0)
}

async function opened(context: BrowserContext, address: string) {
  const page = await context.newPage()
  await page.goto(`${address}${WALL}/arrange`, { waitUntil: 'commit' })
  const moments = await momentsOf(page)
  const script = await scriptOf(page)
  return { page, script, ...moments }
}

/** How long a wall takes to open on the built application, and how much script that needs. */
export const opening = (address: string): Promise<Row[]> => withBrowser(async (browser) => {
  const [cold, warm]: Omit<Awaited<ReturnType<typeof opened>>, 'page'>[][] = [[], []]
  for (let run = 0; run < RUNS; run++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    await signIn(context, address)
    const first = await opened(context, address)
    cold!.push(first)
    await first.page.getByTestId('at-hand').waitFor()
    await first.page.close()
    const again = await opened(context, address)
    warm!.push(again)
    await context.close()
  }
  const of = (runs: typeof cold, what: 'drawn' | 'planned' | 'ready') => median(runs!.map(run => run[what]))
  return [
    atMost('A wall drawn in a browser that has nothing stored, median', of(cold, 'drawn'), 1_000, 'ms'),
    measured('Its plan there, from the worker', of(cold, 'planned'), 'ms'),
    measured('Its bench there', of(cold, 'ready'), 'ms'),
    atMost('A wall drawn in a browser that had it open before, median', of(warm, 'drawn'), 400, 'ms'),
    measured('Its plan there, from the worker, in that browser', of(warm, 'planned'), 'ms'),
    measured('Its bench there, in that browser', of(warm, 'ready'), 'ms'),
    atMost('Script of the first drawing, gzipped', cold![0]!.script / 1000, 200, 'kB'),
  ]
})

/** How long a wall takes to open from nothing but the device, with the server out of reach. */
export const openingOffline = (address: string): Promise<Row[]> => withBrowser(async (browser) => {
  const path = `${address}${WALL}/hang`
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  await signIn(context, address)
  const first = await context.newPage()
  await first.goto(path)
  await first.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await first.getByTestId('hole-name').waitFor()
  await first.reload()
  await first.getByTestId('hole-name').waitFor()
  await first.close()
  await context.setOffline(true)
  const times: number[] = []
  for (let run = 0; run < RUNS; run++) {
    const page = await context.newPage()
    const began = performance.now()
    await page.goto(path)
    await page.getByTestId('hole-name').waitFor()
    times.push(performance.now() - began)
    await page.close()
  }
  return [atMost('A wall opened without a connection, to its current hole, median', median(times), 600, 'ms')]
})
