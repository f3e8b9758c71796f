import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { cookieOf } from '../../scripts/house.mjs'
import { expect, freePort, testAlone as test } from './house'

/** Runs the demo's own command until it has printed its address; gives back how to stop it. */
async function demo(port: number, data: string) {
  const child = spawn(process.execPath, ['scripts/demo.mjs'], {
    env: { ...process.env, PORT: String(port), WT_DATA: data },
  })
  let said = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (text: Buffer) => { said += String(text) })
  await expect.poll(() => said, { timeout: 30_000 }).toContain(`Wide Trellis is at http://localhost:${port}`)
  return {
    stop: async (signal: NodeJS.Signals) => {
      const ended = once(child, 'exit')
      child.kill(signal)
      const [code] = await ended
      return code as number
    },
  }
}

test('the demo starts, stops clean, and starts again with what was kept', async () => {
  const data = mkdtempSync(join(tmpdir(), 'wide-trellis-demo-'))
  const port = await freePort()
  const address = `http://localhost:${port}/api/sites`
  const signedIn = async () => ({ cookie: await cookieOf(`http://localhost:${port}`) })

  const first = await demo(port, data)
  const sites = await (await fetch(address, { headers: await signedIn() })).json() as { name: string }[]
  expect(sites.map(({ name }) => name)).toEqual(['Holm Point', 'Ravel Sands', 'Stennick'])
  await fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...(await signedIn()) },
    body: JSON.stringify({ name: 'Brough Ness', units: 'imperial' }),
  })
  expect(await first.stop('SIGTERM')).toBe(0)
  expect(existsSync(join(data, 'wide-trellis.db'))).toBe(true)
  expect(existsSync(join(data, 'wide-trellis.db-wal'))).toBe(false)
  await expect(fetch(address)).rejects.toThrow()

  const second = await demo(port, data)
  const again = await (await fetch(address, { headers: await signedIn() })).json() as { name: string }[]
  expect(again.map(({ name }) => name)).toEqual(['Brough Ness', 'Holm Point', 'Ravel Sands', 'Stennick'])
  expect(await second.stop('SIGINT')).toBe(0)
  rmSync(data, { recursive: true })
})

test('a port that is taken, or is none, is told in words', async ({ house }) => {
  for (const [port, words] of [[String(house.port), 'is in use'], ['door', 'must be a number']] as const) {
    const child = spawn(process.execPath, ['scripts/demo.mjs'], { env: { ...process.env, PORT: port } })
    let said = ''
    child.stderr.on('data', (text: Buffer) => { said += String(text) })
    const [code] = await once(child, 'exit')
    expect(code).not.toBe(0)
    expect(said).toContain(words)
    expect(said).not.toMatch(/\n\s+at /)
  }
})
