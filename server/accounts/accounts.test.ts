import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { sql } from 'drizzle-orm'
import { exampleJob } from '../../tests/fixtures/job'
import { brokenLink } from '../../core/log'
import { atomically } from '../database/atomically'
import { openDatabase } from '../database/connection'
import type { ApiErrorBody } from '../utils/apiError'
import { acceptAside, addEntries } from '../repositories/log'
import { listAside } from '../repositories/setAside'
import { exportJob, importJob } from '../repositories/sites'
import { readAudit } from './audit'
import { authorOf } from './authorship'
import { challengeOf, keepChallenge } from './challenges'
import { beginFirm, saveFirm, type Firm } from './firms'
import { openAccounts } from './form'
import { codeForFirm, endInvitation, invite, listInvitations, markUsed, openInvitation } from './invitations'
import { addPerson, changeRole, listPeople, peopleOfAddress, removePerson, roleChoice, type Person } from './people'
import { beginSession, endSession, listSessions, openSession, type SignedIn } from './sessions'

let opened: ReturnType<typeof openAccounts>
let firm: Firm
let isla: Person
const T = (day: number, time = '08:00') => `2026-11-${String(day).padStart(2, '0')}T${time}:00.000Z`
const db = () => opened.db
const join = (name: string, role: 'planner' | 'lead' | 'crew' | 'service', sites: string[] = [], of = firm) => addPerson(db(), of.key, { name, address: `${name.split(' ')[0]}@firm.example`, password: null, role, sites }, T(1))
beforeEach(() => {
  opened = openAccounts(':memory:')
  firm = beginFirm(db(), 'Brand & Holt', T(1))
  isla = join('Isla Brandt', 'planner')
})
afterEach(() => opened.close())

function refused(act: () => unknown): ApiErrorBody['error'] & { status: number } {
  try {
    act()
  }
  catch (error) {
    const { statusCode, data } = error as { statusCode: number, data: ApiErrorBody }
    return { status: statusCode, ...data.error }
  }
  throw new Error('was not refused')
}

describe('people', () => {
  it('have one address each in a firm, whatever its letters; another firm may know it too', () => {
    expect(refused(() => addPerson(db(), firm.key, { name: 'Other', address: ' ISLA@firm.example', password: null, role: 'crew', sites: [] }, T(2)))).toMatchObject({ status: 409, code: 'address-taken', message: expect.stringContaining('Isla Brandt already has this address') })
    const other = beginFirm(db(), 'Other firm', T(2))
    addPerson(db(), other.key, { name: 'Isla Brandt', address: 'isla@firm.example', password: null, role: 'crew', sites: [] }, T(2))
    expect(peopleOfAddress(db(), 'Isla@Firm.example').map(({ firm }) => firm)).toEqual([firm.key, other.key])
    expect([firm.folder, other.folder]).toEqual(['.', `firms/${other.id}`])
  })

  it('always have a planner among them: the last cannot remove himself nor become something else', () => {
    expect(refused(() => removePerson(db(), firm.key, isla.id, 'Isla Brandt', T(3)))).toMatchObject({ status: 409, code: 'last-planner' })
    expect(refused(() => changeRole(db(), firm.key, isla.id, { role: 'lead', sites: [] }, 'Isla Brandt', T(3)))).toMatchObject({ code: 'last-planner' })
    join('Ranveig Holt', 'planner')
    removePerson(db(), firm.key, isla.id, 'Ranveig Holt', T(3))
    expect(listPeople(db(), firm.key).map(({ name }) => name)).toEqual(['Ranveig Holt'])
  })

  it('have sites where their role is held on some, and a role that there is', () => {
    expect([roleChoice({ role: 'crew', sites: ['b', 'a', 'b'] }), roleChoice({ role: 'service', sites: ['a'] })]).toEqual([{ role: 'crew', sites: ['a', 'b'] }, { role: 'service', sites: [] }])
    expect(refused(() => roleChoice({ role: 'client', sites: 'all' })).faults!.map(({ path }) => path)).toEqual(['$.role', '$.sites'])
  })
})

describe('a session', () => {
  const at = (day: number) => new Date(T(day))
  it('lets in until it is ended, its person is removed, or its device was away for longer than the firm allows', () => {
    const odd = join('Odd Varga', 'crew', ['holm-point'])
    const sessions = [1, 2, 3].map(() => beginSession(db(), odd, 'password', 'a phone', T(2)))
    expect(openSession(db(), sessions[0]!, at(3))).toMatchObject({ person: { name: 'Odd Varga' }, held: { role: 'crew', sites: ['holm-point'] } })
    expect(openSession(db(), 'none', at(3))).toEqual({ ended: 'unknown' })
    endSession(db(), firm.key, sessions[0]!, 'Isla Brandt', T(4))
    expect(openSession(db(), sessions[0]!, at(4))).toEqual({ ended: 'ended' })
    // Seen on the third, so that fourteen days end on the seventeenth.
    openSession(db(), sessions[1]!, at(3))
    expect([openSession(db(), sessions[1]!, at(17)), openSession(db(), sessions[2]!, at(17))]).toMatchObject([{ person: { id: odd.id } }, { ended: 'idle' }])
    removePerson(db(), firm.key, odd.id, 'Isla Brandt', T(17))
    expect(openSession(db(), sessions[1]!, at(17))).toEqual({ ended: 'ended' })
    expect(listSessions(db(), firm.key).every(({ endedAt }) => endedAt !== null)).toBe(true)
  })

  it('is ended by nobody of another firm, nor by another person of one’s own account', () => {
    const session = beginSession(db(), isla, 'password', 'a laptop', T(2))
    const other = beginFirm(db(), 'Other firm', T(2))
    expect(refused(() => endSession(db(), other.key, session, 'Somebody', T(2))).status).toBe(404)
    expect(refused(() => endSession(db(), firm.key, session, 'Odd', T(2), join('Odd Varga', 'crew').key)).status).toBe(404)
  })

  it('follows what the firm allows', () => {
    const session = beginSession(db(), isla, 'password', 'a laptop', T(2))
    saveFirm(db(), firm, { name: 'Brand & Holt', deviceDays: 3 }, 'Isla Brandt', T(2))
    expect(openSession(db(), session, at(6))).toEqual({ ended: 'idle' })
    expect(refused(() => saveFirm(db(), firm, { name: '', deviceDays: 0.5 }, 'Isla Brandt', T(2))).faults!.map(({ path }) => path)).toEqual(['$.name', '$.deviceDays'])
  })
})

describe('a link for coming in', () => {
  const now = new Date(T(2))
  it('works once, for seven days, and until it is taken back', () => {
    const make = (name: string) => invite(db(), firm.key, { name, address: `${name}@firm.example`, role: 'crew', sites: [] }, 'Isla Brandt', now)
    const [one, two, three] = [make('Odd'), make('Jun'), make('Tove')] as const
    expect(openInvitation(db(), one, ['join'], now)).toMatchObject({ name: 'Odd', role: 'crew' })
    markUsed(db(), openInvitation(db(), one, ['join'], now), T(2))
    endInvitation(db(), firm.key, listInvitations(db(), firm.key, now).find(({ name }) => name === 'Jun')!.id, 'Isla Brandt', T(2))
    expect([one, two].map(secret => refused(() => openInvitation(db(), secret, ['join'], now)).message)).toEqual([expect.stringContaining('already been used'), expect.stringContaining('revoked')])
    expect(refused(() => openInvitation(db(), three, ['join'], new Date(T(10)))).message).toContain('expired on 2026-11-09')
    expect(refused(() => openInvitation(db(), three, ['firm'], now)).status).toBe(404)
    expect(refused(() => openInvitation(db(), 'guess', ['join'], now)).status).toBe(404)
    expect(refused(() => make('Isla')).code).toBe('address-taken')
  })

  it('begins a firm by the code of the last start alone, and no secret of any is kept', () => {
    const [old, code] = [codeForFirm(db(), now), codeForFirm(db(), now)]
    expect(code).toMatch(/^([a-z2-9]{4}-){2}[a-z2-9]{4}$/)
    expect(refused(() => openInvitation(db(), old, ['firm'], now)).status).toBe(410)
    expect(openInvitation(db(), ` ${code}\n`, ['firm'], now).kind).toBe('firm')
    expect(JSON.stringify(db().all(sql`SELECT * FROM invitations`))).not.toContain(code)
  })
})

it('what is done together is done whole or not at all, also where a part of it is done so by itself', () => {
  expect(() => atomically(db(), () => {
    join('Odd Varga', 'crew')
    throw new Error('the rest failed')
  })).toThrow('the rest failed')
  expect(listPeople(db(), firm.key).map(({ name }) => name)).toEqual(['Isla Brandt'])
  join('Odd Varga', 'crew')
  expect(listPeople(db(), firm.key)).toHaveLength(2)
})

it('the audit is only ever added to', () => {
  expect(readAudit(db(), firm.key).map(({ kind }) => kind)).toEqual(['firm-begun'])
  for (const tamper of [sql`UPDATE audit SET by = 'nobody'`, sql`DELETE FROM audit`]) expect(() => db().run(tamper)).toThrow()
})

it('what a passkey is to sign is asked once, and holds for five minutes', () => {
  for (const attempt of ['a', 'b']) keepChallenge(attempt, 'sign this', 1_000)
  expect([challengeOf('a', 2_000), challengeOf('a', 2_000), challengeOf('b', 302_000), challengeOf('c')]).toEqual(['sign this', '', '', ''])
})

let log: ReturnType<typeof openDatabase>
let odd: Person
function beginLog() {
  log = openDatabase(':memory:')
  importJob(log.db, exampleJob(), 'Isla', T(1))
  odd = join('Odd Varga', 'crew', ['holm-point'])
}
const endLog = () => log.close()
const as = (person: Person, day: number) => openSession(db(), beginSession(db(), person, 'password', 'a phone', T(day)), new Date(T(day))) as SignedIn
const remark = (id: string, day: number, more = {}) => ({ id, at: T(day), by: 'Mallory', wall: 'w1', kind: 'remark', note: 'dusty', ...more })
const send = (by: SignedIn, entries: unknown[], day: number) => addEntries(log.db, 'holm-point', 'w1', authorOf(db(), by), entries, T(day, '20:00'))

describe('who made an entry', () => {
  beforeEach(beginLog)
  afterEach(endLog)

  it('is on the server’s word: neither a name nor another’s approval is taken from what is sent', () => {
    const [result] = send(as(odd, 5), [remark('r1', 5, { acceptedBy: 'Isla Brandt', sentBy: 'Isla Brandt' })], 5)
    expect((result as { entry: object }).entry).toMatchObject({ by: 'Odd Varga', person: odd.id })
    expect((result as { entry: object }).entry).not.toHaveProperty('acceptedBy')
    expect((result as { entry: object }).entry).not.toHaveProperty('sentBy')
  })

  it('is who was signed in on the device then, whoever sends it; the same entry sent by both is one', () => {
    const entry = remark('r1', 5, { person: odd.id })
    const [first] = send(as(isla, 6), [entry], 6)
    expect(first).toMatchObject({ entry: { by: 'Odd Varga', sentBy: 'Isla Brandt' } })
    expect(send(as(odd, 6), [entry], 6)).toEqual([first])
    const stranger = addPerson(db(), beginFirm(db(), 'Other firm', T(1)).key, { name: 'Eve', address: 'eve@other.example', password: null, role: 'planner', sites: [] }, T(1))
    expect(send(as(isla, 6), [remark('r2', 5, { person: stranger.id })], 6)).toMatchObject([{ error: { code: 'not-yours' } }])
  })

  it('who lost the right in the middle of a day: what came before is taken, what came after waits for a planner', () => {
    changeRole(db(), firm.key, odd.id, { role: 'crew', sites: ['stennick'] }, 'Isla Brandt', T(5, '12:00'))
    const [before, after] = [{ ...remark('r1', 5), at: T(5, '11:00'), person: odd.id }, { ...remark('r2', 5), at: T(5, '13:00'), person: odd.id }]
    const results = send(as(isla, 5), [before, after, after], 5)
    expect(results).toMatchObject([{ entry: { id: 'r1' } }, { id: 'r2', setAside: 'Odd Varga was crew, but not here, when this was recorded, and could not record a visit' }, { id: 'r2' }])
    const [waiting, ...others] = listAside(log.db)
    expect([waiting!.entry.id, others]).toEqual(['r2', []])
    acceptAside(log.db, waiting!.key, 'Isla Brandt', T(6))
    expect(exportJob(log.db, 'holm-point').log.map(({ id, by, acceptedBy }) => [id, by, acceptedBy])).toEqual([['r1', 'Odd Varga', undefined], ['r2', 'Odd Varga', 'Isla Brandt']])
    expect(brokenLink(exportJob(log.db, 'holm-point').log)).toBeUndefined()
    expect(refused(() => acceptAside(log.db, waiting!.key, 'Isla Brandt', T(6))).status).toBe(404)
  })

  it('who was removed: what another sends of his before that is taken, later waits', () => {
    removePerson(db(), firm.key, odd.id, 'Isla Brandt', T(5, '12:00'))
    expect(send(as(isla, 6), [{ ...remark('r1', 5, { person: odd.id }) }, remark('r2', 6, { person: odd.id })], 6)).toMatchObject([{ entry: { by: 'Odd Varga' } }, { setAside: expect.stringContaining('no longer in the firm') }])
  })
})

describe('an entry in another’s name', () => {
  beforeEach(beginLog)
  afterEach(endLog)

  it('what crew sends as a planner’s waits, whatever its clock says; who lost the right overrides no more', () => {
    const override = (id: string, day: number, more: object) =>
      ({ ...remark(id, day), kind: 'override', code: 'member-unsure', subject: 's', reason: 'looked', ...more })
    const forged = send(as(odd, 9), [override('o1', 2, { person: isla.id }), remark('r1', 5, { person: isla.id })], 9)
    expect(forged).toMatchObject([
      { setAside: expect.stringContaining('sent as Isla Brandt’s by Odd Varga, who cannot issue a mark-out') },
      { entry: { by: 'Isla Brandt', sentBy: 'Odd Varga' } },
    ])
    const ranveig = join('Ranveig Holt', 'lead', ['holm-point'])
    expect(send(as(ranveig, 3), [override('o2', 3, {})], 3)).toMatchObject([{ entry: { by: 'Ranveig Holt' } }])
    changeRole(db(), firm.key, ranveig.id, { role: 'crew', sites: ['holm-point'] }, 'Isla Brandt', T(5))
    expect(send(as(ranveig, 6), [override('o3', 4, {}), remark('r2', 4)], 6)).toMatchObject([
      { setAside: expect.stringContaining('could not issue a mark-out') }, { entry: { id: 'r2' } },
    ])
  })

  it('what was never his to do is refused, and so is a clock that is ahead of a right that ended', () => {
    expect(send(as(odd, 5), [{ ...remark('r1', 5), kind: 'issued', revision: 'A' }, { ...remark('r2', 5), kind: 'override', code: 'a', subject: 'b', reason: 'c' }], 5)).toMatchObject([{ error: { code: 'not-yours' } }, { error: { message: expect.stringContaining('not allowed for the role crew here') } }])
    const tove = join('Tove Marsh', 'service')
    expect(send(as(tove, 5), [remark('r3', 5)], 5)).toMatchObject([{ error: { code: 'not-yours' } }])
    changeRole(db(), firm.key, odd.id, { role: 'service', sites: [] }, 'Isla Brandt', T(5, '12:00'))
    expect(send(as(odd, 5), [remark('r4', 30)], 5)).toMatchObject([{ setAside: expect.any(String) }])
  })
})
