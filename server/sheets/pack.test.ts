import { createHash } from 'node:crypto'
import canonicalize from 'canonicalize'
import Papa from 'papaparse'
import DxfParser from 'dxf-parser'
import { describe, expect, it } from 'vitest'
import { demoJob } from '../../tests/fixtures/demo'
import { readJob } from '../../core/job'
import { EMPTY_CHAIN, chained, type LogEntry } from '../../core/log'
import { withFrozen } from '../../core/revision'
import { packOf } from './pack'

/** The demo's site with the chain that a server gives its log. */
function chainedDemo() {
  const job = withFrozen(demoJob('ravel-sands'))
  let end = EMPTY_CHAIN
  const log = job.log.map((entry) => {
    const placed = chained(entry, end, entry.at)
    end = { seq: placed.seq!, hash: placed.hash! }
    return placed
  })
  return { ...job, log }
}
const OPTIONS = { paper: 'a4', units: 'metric' } as const
const text = (content: Uint8Array) => Buffer.from(content).toString()

describe('a handover pack', () => {
  it('can be read without this product: its list, its drawings, and its log’s chain', async () => {
    const { files, made } = await packOf(chainedDemo(), 'lounge', OPTIONS)
    const file = (name: string) => text(files.find(each => each.name === name)!.content)
    expect(made.toISOString()).toBe('2026-11-03T15:05:00.000Z')
    const holes = Papa.parse<Record<string, string>>(file('schedule/holes.csv').replace(/^\uFEFF/, ''), {
      header: true,
    }).data
    expect(holes).toHaveLength(16)
    expect(holes[0]).toMatchObject({ id: 'lounge-r1c1-top-1', result: 'hit', off: '0', by: 'Odd Varga' })
    const screens = Papa.parse<Record<string, string>>(file('schedule/screens.csv').replace(/^\uFEFF/, ''), {
      header: true,
    }).data
    expect(screens.map(({ serial }) => serial)).toContain('KL46-2610-2215')
    const drawing = new DxfParser().parseSync(file('drawings/as-built.dxf'))!
    expect(drawing.entities.length).toBeGreaterThan(20)
    expect(file('drawings/as-built.svg')).toMatch(/^<svg[^]*<\/svg>\s*$/)
    expect(readJob(file('job.json')).site.id).toBe('ravel-sands')
    // As its README says, with nothing of the core.
    let [prev, seq] = ['', 0]
    for (const { hash, ...told } of JSON.parse(file('log.json')) as LogEntry[]) {
      expect([told.seq, told.prev]).toEqual([seq + 1, prev])
      expect(createHash('sha256').update(canonicalize(told)!).digest('hex')).toBe(hash)
      ;[prev, seq] = [hash!, seq + 1]
    }
    for (const part of ['RFC 8785', 'SHA-256', 'log.json', 'not a certificate'])
      expect(file('README.txt')).toContain(part)
  })

  it('is the same to the byte when it is made again', async () => {
    const digest = async () =>
      (await packOf(chainedDemo(), 'lounge', OPTIONS)).files.map(({ name, content }) => [
        name,
        createHash('sha256').update(content).digest('hex'),
      ])
    const first = await digest()
    await new Promise(done => setTimeout(done, 1_100))
    expect(await digest()).toEqual(first)
  })
})
