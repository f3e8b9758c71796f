import { describe, expect, it } from 'vitest'
import { eachInEmptyFirm } from '../../tests/fixtures/emptyFirm'
import { exampleJob } from '../../tests/fixtures/job'
import type { Database } from '../database/perDatabase'
import { links } from '../database/schema'
import type { LogEntry } from '../../core/job'
import { signByLink } from './clientSigns'
import { endLink, listLinks, makeLink, openLink } from './links'
import { importJob } from './importing'
import { readSite, savePlace } from './sites'

let db: Database
const ISSUED = {
  id: 'i1',
  at: '2026-11-20T09:00:00Z',
  by: 'Isla',
  wall: 'w1',
  kind: 'issued',
  revision: 'A',
} as LogEntry
const NOW = new Date('2026-11-27T09:00:00.000Z')
const later = (days: number) => new Date(NOW.getTime() + days * 86_400_000)
eachInEmptyFirm((empty) => {
  db = empty
  importJob(db, { ...exampleJob(), log: [ISSUED] }, 'Isla', NOW.toISOString())
})
const site = () => exampleJob().site.id
const statusOf = (act: () => unknown) => {
  try {
    act()
    return 200
  }
  catch (error) {
    return (error as { statusCode: number }).statusCode
  }
}

describe('a client’s link', () => {
  it('opens its wall until it ends, and its secret is kept nowhere', () => {
    const { secret, ...link } = makeLink(db, site(), 'w1', { client: ' Harbour office ', days: 14, by: 'Isla' }, NOW)
    expect(link).toMatchObject({ client: 'Harbour office', expiresAt: later(14).toISOString(), endedAt: null })
    expect(openLink(db, secret, later(13))).toMatchObject({ site: site(), wall: 'w1', link: { id: link.id } })
    expect(statusOf(() => openLink(db, secret, later(14)))).toBe(410)
    expect(JSON.stringify(db.select().from(links).all())).not.toContain(secret)
    expect(JSON.stringify(listLinks(db, site(), 'w1'))).not.toContain('secret')
  })

  it('opens nothing once it was taken back, and nothing where it is guessed', () => {
    const { secret, id } = makeLink(db, site(), 'w1', { client: 'Harbour office', days: 14, by: 'Isla' }, NOW)
    expect(statusOf(() => openLink(db, `${secret.slice(1)}x`, NOW))).toBe(404)
    expect(endLink(db, site(), 'w1', id, NOW)).toMatchObject([{ id, endedAt: NOW.toISOString() }])
    expect(statusOf(() => openLink(db, secret, NOW))).toBe(410)
    expect(statusOf(() => endLink(db, site(), 'w1', 'none', NOW))).toBe(404)
  })

  it.each([
    [{ client: '', days: 14 }, '$.client'],
    [{ client: 'x', days: 0 }, '$.days'],
    [{ client: 'x', days: 91 }, '$.days'],
    [{ client: 'x', days: 1.5 }, '$.days'],
    [{}, '$.client'],
  ])('is not made of %j', (given, path) => {
    try {
      makeLink(db, site(), 'w1', { ...given, by: 'Isla' }, NOW)
      expect.unreachable()
    }
    catch (error) {
      expect(
        (error as { data: { error: { faults: { path: string }[] } } }).data.error.faults.map(fault => fault.path),
      ).toContain(path)
    }
    expect(statusOf(() => makeLink(db, site(), 'attic', { client: 'x', days: 1, by: 'Isla' }, NOW))).toBe(404)
  })
})

describe('a client who signs', () => {
  const linked = () =>
    openLink(db, makeLink(db, site(), 'w1', { client: 'Office', days: 14, by: 'Isla' }, NOW).secret, NOW)
  const ink = [[10, 10, 500, 200]]
  const at = NOW.toISOString()

  it('is the client by his link, whatever name he types; he signs once and remarks five times', () => {
    const link = linked()
    const name = 'Isla Brandt, Planner'
    const [signed] = signByLink(db, link, { id: 's1', name, ink }, at)
    expect(signed).toMatchObject({ kind: 'signed', by: 'Client, by link', name, link: link.link.id })
    expect(signByLink(db, link, { id: 's1', name, ink }, at)).toEqual([signed])
    expect(statusOf(() => signByLink(db, link, { id: 's2', name, ink }, at))).toBe(409)
    const remark = (n: number) => signByLink(db, link, { id: `r${n}`, name, remark: 'A scratch' }, at)
    for (const n of [1, 2, 3, 4, 5]) expect(remark(n)).toMatchObject([{ kind: 'remark', by: 'Client, by link', name }])
    expect(statusOf(() => remark(6))).toBe(409)
    expect(signByLink(db, linked(), { id: 's3', name, ink, remark: 'Well done' }, at)).toHaveLength(2)
  })

  it('writes no more ink than a signature has, and is named', () => {
    const much = Array.from({ length: 100 }, () => Array.from({ length: 200 }, (_, n) => n))
    for (const wrong of [{ name: 'Una', ink: much }, { name: ' ', ink }, { name: 'Una', ink: [] }]) {
      expect(statusOf(() => signByLink(db, linked(), { id: 's1', ...wrong }, at))).toBe(422)
    }
  })

  it('has no link of a wall of which nothing was issued', () => {
    const id = importJob(db, { ...exampleJob(), site: { ...exampleJob().site, id: 'other' } }, 'Isla', at)
    expect(statusOf(() => makeLink(db, id, 'w1', { client: 'Office', days: 14, by: 'Isla' }, NOW))).toBe(409)
  })
})

describe('people to call', () => {
  it('are kept with the site, by the version that they were made from', () => {
    const { version } = readSite(db, site())
    expect(
      savePlace(db, site(), { contacts: [{ name: 'Harbour electrics', phone: '555 0142' }] }, version),
    ).toMatchObject({ version: version + 1, site: { contacts: [{ name: 'Harbour electrics', phone: '555 0142' }] } })
    expect(statusOf(() => savePlace(db, site(), { contacts: [] }, version))).toBe(409)
    expect(statusOf(() => savePlace(db, site(), { contacts: [{ phone: '1' }] }, version + 1))).toBe(422)
    expect(readSite(db, site()).site.contacts).toHaveLength(1)
  })
})
