import { mkdtempSync, readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { beforeEach, describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { openDatabase } from '../database/connection'
import { addFile, removeFile } from '../repositories/siteFiles'
import { importJob } from '../repositories/importing'
import { readSite } from '../repositories/sites'
import { dropFile, filesOf, keepFile, keptName, readFile } from './siteFiles'

const NOW = '2026-11-27T09:00:00.000Z'
const site = exampleJob().site
let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'wt-files-'))
})
const naming = (...files: string[]) => ({ ...site, files: files.map(file => ({ file, name: file })) })

describe('a file of a site', () => {
  it('is kept under its content’s name with the ending it came with, once, and read as it came', async () => {
    const bytes = Buffer.from('%PDF-1.4')
    const file = await keepFile(folder, site.id, 'Hot work, “deck 3”.PDF', bytes)
    // SHA-256 of the bytes by `printf '%PDF-1.4' | sha256sum`.
    expect(file).toBe('e16fa5d9b51928755db85b917f0297ba.pdf')
    expect(await keepFile(folder, site.id, 'again.pdf', bytes)).toBe(file)
    expect(readdirSync(join(folder, 'files', site.id))).toEqual([file])
    expect(readFile(folder, naming(file), file)).toEqual(bytes)
  })
  it('has no ending where that is none', () => {
    expect(
      ['README', 'a.', 'a.b/c', 'a.much-too-long', '.env', 'x.tar.gz'].map(name =>
        keptName(name, Buffer.from('x')).slice(32),
      ),
    ).toEqual(['', '', '', '', '.env', '.gz'])
  })
  it('is refused where it is empty or too large', async () => {
    const refusal = (bytes: Buffer) =>
      keepFile(folder, site.id, 'a.pdf', bytes).then(
        () => 0,
        (error: { statusCode: number }) => error.statusCode,
      )
    expect([
      await refusal(Buffer.alloc(0)),
      await refusal(Buffer.alloc(25 * 1024 * 1024 + 1)),
      await refusal(Buffer.alloc(25 * 1024 * 1024)),
    ]).toEqual([422, 413, 0])
  })
  it('is read only where its site names it, and not where its name alone came along', async () => {
    const file = await keepFile(folder, site.id, 'a.pdf', Buffer.from('a'))
    expect(() => readFile(folder, site, file)).toThrow('is not on the server')
    expect(() => readFile(folder, { ...naming(file), id: 'elsewhere' }, file)).toThrow('is not on the server')
    expect(() => readFile(folder, naming('../../wide-trellis.db'), '../../wide-trellis.db')).toThrow(
      'is not on the server',
    )
    expect(filesOf(folder, naming(file, `${'0'.repeat(32)}.pdf`)).map(each => each.file)).toEqual([file])
    dropFile(folder, site.id, file)
    expect(filesOf(folder, naming(file))).toEqual([])
  })
})

describe('what a site names', () => {
  const { db, close } = openDatabase(':memory:')
  importJob(db, exampleJob(), 'Isla', NOW)
  const add = (content: string, name: string) =>
    addFile(db, site.id, { file: keptName(name, Buffer.from(content)), name, by: 'Isla', at: NOW })
  const names = () => readSite(db, site.id).site.files?.map(({ name }) => name)
  const faults = (act: () => unknown) => {
    try {
      act()
      return undefined
    }
    catch (error) {
      const { statusCode, data } = error as {
        statusCode: number
        data: { error: { message: string, faults?: { path: string, message: string }[] } }
      }
      return [statusCode, data.error.faults?.[0] ?? data.error.message]
    }
  }
  it('has each file once, and each name once', () => {
    add('a', 'Permit.pdf')
    add('b', 'Permit.pdf')
    add('c', 'Permit.pdf')
    add('d', 'README')
    const { version } = add('e', 'README')
    expect(names()).toEqual(['Permit.pdf', 'Permit (2).pdf', 'Permit (3).pdf', 'README', 'README (2)'])
    expect(faults(() => add('b', 'other.pdf'))).toEqual([409, 'This file is already here, as “Permit (2).pdf”.'])
    expect(faults(() => add('x', 'two\nlines.pdf'))).toMatchObject([422, { path: '$.site.files[5].name' }])
    expect(faults(() => add('x', ''))).toMatchObject([422, { path: '$.site.files[5].name' }])
    expect(readSite(db, site.id).version).toBe(version)
  })
  it('is as it was before once all are taken away', () => {
    for (const { file } of readSite(db, site.id).site.files!) removeFile(db, site.id, file)
    expect(readSite(db, site.id).site).toEqual(site)
    expect(faults(() => removeFile(db, site.id, `${'0'.repeat(32)}.pdf`))![0]).toBe(404)
    close()
  })
})
