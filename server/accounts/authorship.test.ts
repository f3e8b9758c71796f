import { createHash, generateKeyPairSync, sign, type KeyObject } from 'node:crypto'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { refused } from '../../tests/fixtures/refused'
import { brokenLink, signedText, type LogEntry } from '../../core/log'
import { openDatabase } from '../database/connection'
import { acceptAside, addEntries } from '../repositories/log'
import { listAside } from '../repositories/setAside'
import { importJob } from '../repositories/importing'
import { exportJob } from '../repositories/sites'
import { authorOf } from './authorship'
import { beginFirm, type Firm } from './firms'
import { openAccounts } from './form'
import { registerKey } from './keys'
import { addPerson, changeRole, removePerson, type Person } from './people'
import { beginSession, endSession, openSession, type SignedIn } from './sessions'

let accounts: ReturnType<typeof openAccounts>
let log: ReturnType<typeof openDatabase>
let firm: Firm
let isla: Person
let odd: Person
const T = (day: number, time = '08:00') => `2026-11-${String(day).padStart(2, '0')}T${time}:00.000Z`
const db = () => accounts.db
const join = (name: string, role: 'planner' | 'lead' | 'crew' | 'service', sites: string[] = []) =>
  addPerson(db(), firm.key, { name, address: `${name.split(' ')[0]}@firm.example`, password: null, role, sites }, T(1))
beforeEach(() => {
  accounts = openAccounts(':memory:')
  firm = beginFirm(db(), 'Brand & Holt', T(1))
  log = openDatabase(':memory:')
  importJob(log.db, exampleJob(), 'Isla', T(1))
  isla = join('Isla Brandt', 'planner')
  odd = join('Odd Varga', 'crew', ['holm-point'])
})
afterEach(() => {
  accounts.close()
  log.close()
})

const as = (person: Person, day: number) =>
  openSession(db(), beginSession(db(), person, 'password', 'a phone', T(day)), new Date(T(day))) as SignedIn
const remark = (id: string, day: number, more = {}) =>
  ({ id, at: T(day), by: 'Mallory', wall: 'w1', kind: 'remark', note: 'dusty', ...more })
const override = (id: string, day: number, more = {}) =>
  ({ ...remark(id, day), kind: 'override', code: 'member-unsure', subject: 's', reason: 'looked', ...more })
const send = (by: SignedIn, entries: unknown[], day: number) =>
  addEntries(log.db, { siteId: 'holm-point', wall: 'w1' }, authorOf(db(), by), entries, T(day, '20:00'))

/** A device with a key of its own, by the standards alone: the thumbprint of RFC 7638, ECDSA as WebCrypto gives it. */
class Phone {
  private readonly pair = generateKeyPairSync('ec', { namedCurve: 'P-256' })
  readonly jwk = this.pair.publicKey.export({ format: 'jwk' })
  readonly key = createHash('sha256')
    .update(`{"crv":"P-256","kty":"EC","x":"${this.jwk.x}","y":"${this.jwk.y}"}`).digest('base64url')

  readonly session: SignedIn
  constructor(readonly person: Person, day: number) {
    this.session = as(person, day)
    expect(registerKey(db(), this.session, this.jwk, T(day))).toBe(this.key)
  }

  signed(entry: object): object {
    const told = { ...entry, person: this.person.id, key: this.key }
    return { ...told, sig: signatureOf(told as unknown as LogEntry, this.pair.privateKey) }
  }
}
const signatureOf = (entry: LogEntry, key: KeyObject) =>
  sign('sha256', Buffer.from(signedText(entry)), { key, dsaEncoding: 'ieee-p1363' }).toString('base64url')

describe('who made an entry', () => {
  it('is on the server’s word: neither a name nor another’s approval is taken from what is sent', () => {
    const given = remark('r1', 5, { acceptedBy: 'Isla Brandt', sentBy: 'Isla Brandt', late: true })
    const [result] = send(as(odd, 5), [given], 5) as { entry: LogEntry }[]
    expect(result!.entry).toMatchObject({ by: 'Odd Varga', person: odd.id })
    for (const field of ['acceptedBy', 'sentBy', 'late']) expect(result!.entry).not.toHaveProperty(field)
  })

  it('is proved by the signature of his device, whoever sends it; the same entry sent by both is one', () => {
    const phone = new Phone(odd, 4)
    const entry = phone.signed(remark('r1', 5))
    const [first] = send(as(isla, 6), [entry], 6)
    expect(first).toMatchObject({ entry: { by: 'Odd Varga', sentBy: 'Isla Brandt' } })
    expect(send(as(odd, 6), [entry, phone.signed(remark('r1', 5))], 6)).toEqual([first, first])
    const elsewhere = beginFirm(db(), 'Other firm', T(1))
    const stranger = addPerson(
      db(),
      elsewhere.key,
      { name: 'Eve', address: 'e@o.example', password: null, role: 'planner', sites: [] },
      T(1),
    )
    expect(send(as(isla, 6), [remark('r2', 5, { person: stranger.id })], 6)).toMatchObject([
      { error: { code: 'not-yours' } },
    ])
  })

  it('waits for a planner where nothing proves it, whatever its clock says and whoever sends it', () => {
    const unsigned = send(as(odd, 9), [override('o1', 2, { person: isla.id }), remark('r1', 5, { person: isla.id })], 9)
    const reason = 'it was sent as Isla Brandt’s by Odd Varga, and nothing proves that: it is not signed'
    expect(unsigned).toMatchObject([{ setAside: reason }, { setAside: reason }])
    expect(send(as(isla, 9), [remark('r2', 5, { person: odd.id })], 9)).toMatchObject([
      { setAside: expect.stringContaining('nothing proves') },
    ])
    const [waiting] = listAside(log.db)
    acceptAside(log.db, waiting!.key, 'Isla Brandt', T(10))
    expect(exportJob(log.db, 'holm-point').log.at(-1)).toMatchObject({
      by: 'Isla Brandt',
      sentBy: 'Odd Varga',
      acceptedBy: 'Isla Brandt',
    })
  })
})

describe('the proof of who made an entry', () => {
  it('is not a key of one’s own, nor by a signature of something else', () => {
    const [mine, hers] = [new Phone(odd, 4), new Phone(isla, 4)]
    const forged = (entry: object) =>
      expect(send(mine.session, [entry], 5)).toMatchObject([
        { setAside: expect.stringContaining('not of what it says') },
      ])
    forged({ ...mine.signed(override('o1', 4)), person: isla.id })
    forged({ ...hers.signed(override('o2', 4)), reason: 'none' })
    forged({ ...mine.signed(remark('r1', 4)), note: 'changed on the way' })
    forged({ ...hers.signed(override('o3', 4)), key: mine.key })
    expect(send(mine.session, [{ ...hers.signed(override('o4', 4)), key: 'unknown' }], 5)).toMatchObject([
      { setAside: expect.stringContaining('not known here') },
    ])
    expect(refused(() => registerKey(db(), mine.session, hers.jwk, T(5)))).toMatchObject({ status: 422 })
  })

  it('counts within the session of the key alone: not before it began, nor after it ended', () => {
    const phone = new Phone(odd, 4)
    endSession(db(), firm.key, phone.session.session, { by: 'Isla Brandt', at: T(6) })
    const sent = send(
      as(isla, 8),
      [phone.signed(remark('r1', 3)), phone.signed(remark('r2', 5)), phone.signed(remark('r3', 7))],
      8,
    )
    const outside = { setAside: expect.stringContaining('outside the session') }
    expect(sent).toMatchObject([outside, { entry: { id: 'r2' } }, outside])
  })
})

describe('who lost the right', () => {
  it('in the middle of a day: what he signed before is taken as late, what came after waits for a planner', () => {
    const phone = new Phone(odd, 4)
    changeRole(db(), firm.key, odd.id, { role: 'crew', sites: ['stennick'] }, { by: 'Isla Brandt', at: T(5, '12:00') })
    const [before, after] = [
      phone.signed({ ...remark('r1', 5), at: T(5, '11:00') }),
      phone.signed({ ...remark('r2', 5), at: T(5, '13:00') }),
    ]
    const results = send(as(isla, 5), [before, after, after], 5)
    const reason = 'Odd Varga was crew, but not here, when this was recorded, and could not record a visit'
    expect(results).toMatchObject([{ entry: { id: 'r1', late: true } }, { id: 'r2', setAside: reason }, { id: 'r2' }])
    const [waiting, ...others] = listAside(log.db)
    expect([waiting!.entry.id, others]).toEqual(['r2', []])
    acceptAside(log.db, waiting!.key, 'Isla Brandt', T(6))
    const exported = exportJob(log.db, 'holm-point').log
    expect(exported.map(({ id, by, acceptedBy }) => [id, by, acceptedBy])).toEqual([
      ['r1', 'Odd Varga', undefined],
      ['r2', 'Odd Varga', 'Isla Brandt'],
    ])
    expect(brokenLink(exported)).toBeUndefined()
    expect(refused(() => acceptAside(log.db, waiting!.key, 'Isla Brandt', T(6)))).toMatchObject({ status: 404 })
  })

  it('and was removed: what another sends of what he signed before is taken, later and unsigned waits', () => {
    const phone = new Phone(odd, 4)
    removePerson(db(), firm.key, odd.id, 'Isla Brandt', T(5, '12:00'))
    const sent = send(
      as(isla, 6),
      [phone.signed(remark('r1', 5)), phone.signed(remark('r2', 6)), remark('r3', 5, { person: odd.id })],
      6,
    )
    expect(sent).toMatchObject([
      { entry: { by: 'Odd Varga', late: true } },
      { setAside: expect.stringContaining('outside the session') },
      { setAside: expect.any(String) },
    ])
  })
})

describe('who has no right', () => {
  it('any more issues and overrides nothing, signed or not; an earlier time alone proves nothing', () => {
    const lead = join('Ranveig Holt', 'lead', ['holm-point'])
    const phone = new Phone(lead, 2)
    expect(send(phone.session, [override('o1', 3)], 3)).toMatchObject([{ entry: { by: 'Ranveig Holt' } }])
    changeRole(db(), firm.key, lead.id, { role: 'crew', sites: ['holm-point'] }, { by: 'Isla Brandt', at: T(5) })
    const sent = send(phone.session, [phone.signed(override('o2', 4)), override('o3', 4), remark('r1', 4)], 6)
    const noMore = { setAside: expect.stringContaining('could not issue a mark-out') }
    expect(sent).toMatchObject([noMore, noMore, { entry: { id: 'r1' } }])
    changeRole(db(), firm.key, odd.id, { role: 'crew', sites: [] }, { by: 'Isla Brandt', at: T(5) })
    expect(send(as(odd, 6), [remark('r2', 4)], 6)).toMatchObject([
      { setAside: expect.stringContaining('nothing proves that this was recorded before') },
    ])
  })

  it('is refused what was never his to do, and so is a clock that is ahead of a right that ended', () => {
    const issued = { ...remark('r1', 5), kind: 'issued', revision: 'A' }
    expect(send(as(odd, 5), [issued, override('r2', 5)], 5)).toMatchObject([
      { error: { code: 'not-yours' } },
      { error: { message: expect.stringContaining('not allowed for the role crew here') } },
    ])
    const tove = join('Tove Marsh', 'service')
    expect(send(as(tove, 5), [remark('r3', 5)], 5)).toMatchObject([{ error: { code: 'not-yours' } }])
    changeRole(db(), firm.key, odd.id, { role: 'service', sites: [] }, { by: 'Isla Brandt', at: T(5, '12:00') })
    expect(send(as(odd, 5), [remark('r4', 30)], 5)).toMatchObject([{ setAside: expect.any(String) }])
  })
})
