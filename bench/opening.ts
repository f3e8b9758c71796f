import { gzipSync } from 'node:zlib'
import { chromium, type Browser } from '@playwright/test'
import { signIn } from '../scripts/house.mjs'
import { CHROMIUM_FLAGS, findChromium } from '../scripts/chromium.mjs'
import { atMost, measured, type Row } from './row'

const RUNS = 7

/**
 * Opens a wall in a browser that has nothing stored; gives the time until it is drawn, ms, and its scripts, bytes
 * gzipped.
 */
async function open(browser: Browser, address: string): Promise<{ drawn: number, script: number }> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  await signIn(context, address)
  const page = await context.newPage()
  const scripts: Promise<number>[] = []
  let opening = true
  page.on('response', (response) => {
    if (opening && response.request().resourceType() === 'script') scripts.push(response.body().then(body => gzipSync(body).length))
  })
  const began = performance.now()
  await page.goto(`${address}/sites/holm-point/walls/ticket-hall/arrange`)
  await page.locator('[data-testid=elevation] [data-screen]').first().waitFor()
  const drawn = performance.now() - began
  // What is fetched ahead for the other stages comes after.
  opening = false
  const sizes = await Promise.all(scripts)
  await page.context().close()
  return { drawn, script: sizes.reduce((a, b) => a + b, 0) }
}

/** How long a wall takes to open on the built application, and how much script that needs. */
export async function opening(address: string): Promise<Row[]> {
  const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_FLAGS })
  try {
    const opened = []
    for (let run = 0; run < RUNS; run++) opened.push(await open(browser, address))
    const times = opened.map(({ drawn }) => drawn).sort((a, b) => a - b)
    return [
      measured('From navigation to a drawn wall, median', times[Math.floor(RUNS / 2)]!, 'ms'),
      atMost('Script of the first wall view, gzipped', opened[0]!.script / 1000, 250, 'kB'),
    ]
  }
  finally {
    await browser.close()
  }
}

/** How long a wall takes to open from nothing but the device, with the server out of reach. */
export async function openingOffline(address: string): Promise<Row[]> {
  const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_FLAGS })
  const path = `${address}/sites/holm-point/walls/ticket-hall/hang`
  try {
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
    return [atMost('A wall opened without a connection, to its current hole, median', times.sort((a, b) => a - b)[Math.floor(RUNS / 2)]!, 1_000, 'ms')]
  }
  finally {
    await browser.close()
  }
}
