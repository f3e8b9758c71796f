import { mkdtempSync, readdirSync, rmSync, existsSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { zipSync, strToU8 } from 'fflate'
import sharp from 'sharp'
import { createHash } from 'node:crypto'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { readJob, writeJob } from '../../core/job'
import { exampleJob } from '../../tests/fixtures/job'
import { openDatabase } from '../database/connection'
import { keepFile } from '../files/siteFiles'
import { listSites } from '../repositories/sites'
import { importArchive } from './importArchive'

// In the server it is read in a thread.
vi.mock('../utils/jobFile', () => ({ readJobFile: (file: Buffer) => Promise.resolve(readJob(file.toString('utf8'))) }))

let folder: string
let opened: ReturnType<typeof openDatabase>
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'wide-trellis-'))
  opened = openDatabase(':memory:')
})
afterEach(() => {
  opened.close()
  rmSync(folder, { recursive: true })
})

const nameOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex').slice(0, 32)
const BY = { by: 'Isla', at: '2026-11-20T09:00:00Z' }

/** A site's archive with pictures of some colours. */
async function archive(colours: string[]): Promise<Buffer> {
  const pictures = await Promise.all(colours.map(background =>
    sharp({ create: { width: 40, height: 30, channels: 3, background } }).png().toBuffer()))
  const photos = pictures.map(bytes => [`photos/${nameOf(bytes)}.png`, new Uint8Array(bytes)] as const)
  return Buffer.from(zipSync({ 'job.json': strToU8(writeJob(exampleJob())), ...Object.fromEntries(photos) }))
}
const bringIn = (zip: Buffer, copy = false) => importArchive(opened.db, folder, Readable.from([zip]), copy, BY)
/** The sites that there are, and how many pictures each has, whole and small. */
const pictures = () =>
  Object.fromEntries(listSites(opened.db).map(({ id }) => [id, readdirSync(join(folder, 'photos', id)).length]))

it('of ten requests for one site at once one is taken, with all its pictures; the others leave nothing', async () => {
  const zips = await Promise.all(['red', 'green', 'blue', 'white'].map(colour => archive([colour, 'black'])))
  const results = await Promise.allSettled(Array.from({ length: 10 }, (_, n) => bringIn(zips[n % zips.length]!)))
  expect(results.filter(({ status }) => status === 'fulfilled')).toHaveLength(1)
  expect(
    results.flatMap(each => (each.status === 'rejected' ? [(each.reason as { statusCode: number }).statusCode] : [])),
  ).toEqual(Array(9).fill(409))
  expect(pictures()).toEqual({ 'holm-point': 6 })
  expect(readdirSync(join(folder, 'incoming'))).toEqual([])
})

it('ten copies at once are ten sites, each with its pictures', async () => {
  const zip = await archive(['red'])
  const brought = await Promise.all(Array.from({ length: 10 }, () => bringIn(zip, true)))
  expect(new Set(brought.map(({ id }) => id)).size).toBe(10)
  expect(Object.values(pictures())).toEqual(Array(10).fill(3))
})

it('a picture that is not what its name says keeps the site out, and takes nothing of the one there', async () => {
  await bringIn(await archive(['red']))
  const other = zipSync({
    'job.json': strToU8(writeJob(exampleJob())),
    'photos/00000000000000000000000000000000.png': new Uint8Array(
      await sharp({ create: { width: 4, height: 3, channels: 3, background: 'blue' } })
        .png()
        .toBuffer(),
    ),
  })
  await expect(bringIn(Buffer.from(other), true)).rejects.toMatchObject({ statusCode: 422 })
  expect(pictures()).toEqual({ 'holm-point': 3 })
})

it('a file that a site does not take is gone again, and stays where it was there before', async () => {
  const bytes = Buffer.from('permit')
  const refuse = () => { throw new Error('no room') }
  await expect(keepFile(folder, 'holm-point', 'a.pdf', bytes, refuse)).rejects.toThrow('no room')
  const path = join(folder, 'files', 'holm-point', `${nameOf(bytes)}.pdf`)
  expect(existsSync(path)).toBe(false)
  const both = await Promise.allSettled([
    keepFile(folder, 'holm-point', 'a.pdf', bytes),
    keepFile(folder, 'holm-point', 'b.pdf', bytes, refuse),
  ])
  expect(both.map(({ status }) => status)).toEqual(['fulfilled', 'rejected'])
  expect(existsSync(path)).toBe(true)
})
