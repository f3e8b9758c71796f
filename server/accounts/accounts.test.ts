import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { sql } from 'drizzle-orm'
import { atomically } from '../database/atomically'
import { refused } from '../../tests/fixtures/refused'
import { auditState, note, readAudit } from './audit'
import { chainAudits } from './auditChain'
import { challengeOf, keepChallenge } from './challenges'
import { beginFirm, saveFirm, type Firm } from './firms'
import { openAccounts } from './form'
import { codeForFirm, endInvitation, invite, listInvitations, markUsed, openInvitation } from './invitations'
import { addPerson, changeRole, listPeople, peopleOfAddress, removePerson, roleChoice, type Person } from './people'
import { beginSession, endSession, listSessions, openSession } from './sessions'

let opened: ReturnType<typeof openAccounts>
let firm: Firm
let isla: Person
const T = (day: number, time = '08:00') => `2026-11-${String(day).padStart(2, '0')}T${time}:00.000Z`
const db = () => opened.db
const join = (name: string, role: 'planner' | 'lead' | 'crew' | 'service', sites: string[] = [], of = firm) =>
  addPerson(db(), of.key, { name, address: `${name.split(' ')[0]}@firm.example`, password: null, role, sites }, T(1))
beforeEach(() => {
  opened = openAccounts(':memory:')
  firm = beginFirm(db(), 'Brand & Holt', T(1))
  isla = join('Isla Brandt', 'planner')
})
afterEach(() => opened.close())

describe('people', () => {
  it('have one address each in a firm, whatever its letters; another firm may know it too', () => {
    expect(
      refused(() =>
        addPerson(
          db(),
          firm.key,
          { name: 'Other', address: ' ISLA@firm.example', password: null, role: 'crew', sites: [] },
          T(2),
        ),
      ),
    ).toMatchObject({
      status: 409,
      code: 'address-taken',
      message: expect.stringContaining('Isla Brandt already has this address'),
    })
    const other = beginFirm(db(), 'Other firm', T(2))
    addPerson(
      db(),
      other.key,
      { name: 'Isla Brandt', address: 'isla@firm.example', password: null, role: 'crew', sites: [] },
      T(2),
    )
    expect(peopleOfAddress(db(), 'Isla@Firm.example').map(({ firm }) => firm)).toEqual([firm.key, other.key])
    expect([firm.folder, other.folder]).toEqual(['.', `firms/${other.id}`])
  })

  it('always have a planner among them: the last cannot remove himself nor become something else', () => {
    expect(refused(() => removePerson(db(), firm.key, isla.id, 'Isla Brandt', T(3)))).toMatchObject({
      status: 409,
      code: 'last-planner',
    })
    expect(
      refused(() => changeRole(db(), firm.key, isla.id, { role: 'lead', sites: [] }, { by: 'Isla Brandt', at: T(3) })),
    ).toMatchObject({ code: 'last-planner' })
    join('Ranveig Holt', 'planner')
    removePerson(db(), firm.key, isla.id, 'Ranveig Holt', T(3))
    expect(listPeople(db(), firm.key).map(({ name }) => name)).toEqual(['Ranveig Holt'])
  })

  it('have sites where their role is held on some, and a role that there is', () => {
    expect([
      roleChoice({ role: 'crew', sites: ['b', 'a', 'b'] }),
      roleChoice({ role: 'service', sites: ['a'] }),
    ]).toEqual([
      { role: 'crew', sites: ['a', 'b'] },
      { role: 'service', sites: [] },
    ])
    expect(refused(() => roleChoice({ role: 'client', sites: 'all' })).faults!.map(({ path }) => path)).toEqual([
      '$.role',
      '$.sites',
    ])
  })
})

describe('a session', () => {
  const at = (day: number) => new Date(T(day))
  it('lets in until it is ended, its person is removed, or its device was away for longer than the firm allows', () => {
    const odd = join('Odd Varga', 'crew', ['holm-point'])
    const sessions = [1, 2, 3].map(() => beginSession(db(), odd, 'password', 'a phone', T(2)))
    expect(openSession(db(), sessions[0]!, at(3))).toMatchObject({
      person: { name: 'Odd Varga' },
      held: { role: 'crew', sites: ['holm-point'] },
    })
    expect(openSession(db(), 'none', at(3))).toEqual({ ended: 'unknown' })
    endSession(db(), firm.key, sessions[0]!, { by: 'Isla Brandt', at: T(4) })
    expect(openSession(db(), sessions[0]!, at(4))).toEqual({ ended: 'ended' })
    // Seen on the third, so that fourteen days end on the seventeenth.
    openSession(db(), sessions[1]!, at(3))
    expect([openSession(db(), sessions[1]!, at(17)), openSession(db(), sessions[2]!, at(17))]).toMatchObject([
      { person: { id: odd.id } },
      { ended: 'idle' },
    ])
    removePerson(db(), firm.key, odd.id, 'Isla Brandt', T(17))
    expect(openSession(db(), sessions[1]!, at(17))).toEqual({ ended: 'ended' })
    expect(listSessions(db(), firm.key).every(({ endedAt }) => endedAt !== null)).toBe(true)
  })

  it('is ended by nobody of another firm, nor by another person of one’s own account', () => {
    const session = beginSession(db(), isla, 'password', 'a laptop', T(2))
    const other = beginFirm(db(), 'Other firm', T(2))
    expect(refused(() => endSession(db(), other.key, session, { by: 'Somebody', at: T(2) })).status).toBe(404)
    expect(
      refused(() => endSession(db(), firm.key, session, { by: 'Odd', at: T(2) }, join('Odd Varga', 'crew').key)).status,
    ).toBe(404)
  })

  it('follows what the firm allows', () => {
    const session = beginSession(db(), isla, 'password', 'a laptop', T(2))
    saveFirm(db(), firm, { name: 'Brand & Holt', deviceDays: 3 }, 'Isla Brandt', T(2))
    expect(openSession(db(), session, at(6))).toEqual({ ended: 'idle' })
    expect(
      refused(() => saveFirm(db(), firm, { name: '', deviceDays: 0.5 }, 'Isla Brandt', T(2))).faults!.map(
        ({ path }) => path,
      ),
    ).toEqual(['$.name', '$.deviceDays'])
  })
})

describe('a link for coming in', () => {
  const now = new Date(T(2))
  it('works once, for seven days, and until it is taken back', () => {
    const make = (name: string) =>
      invite(db(), firm.key, { name, address: `${name}@firm.example`, role: 'crew', sites: [] }, 'Isla Brandt', now)
    const [one, two, three] = [make('Odd'), make('Jun'), make('Tove')] as const
    expect(openInvitation(db(), one, ['join'], now)).toMatchObject({ name: 'Odd', role: 'crew' })
    markUsed(db(), openInvitation(db(), one, ['join'], now), T(2))
    endInvitation(
      db(),
      firm.key,
      listInvitations(db(), firm.key, now).find(({ name }) => name === 'Jun')!.id,
      'Isla Brandt',
      T(2),
    )
    expect([one, two].map(secret => refused(() => openInvitation(db(), secret, ['join'], now)).message)).toEqual([
      expect.stringContaining('already been used'),
      expect.stringContaining('revoked'),
    ])
    expect(refused(() => openInvitation(db(), three, ['join'], new Date(T(10)))).message).toContain(
      'expired on 2026-11-09',
    )
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

it('the audit is chained by firm: what was changed or taken out is found, and an old one is chained as it is', () => {
  beginFirm(db(), 'Other firm', T(2))
  for (const n of [1, 2, 3])
    note(db(), firm.key, { at: T(3), by: 'Isla', kind: 'export', subject: `site-${n}`, detail: '' })
  const whole = auditState(db(), firm.key)
  expect(whole).toMatchObject({ lines: readAudit(db(), firm.key).length })
  expect(whole.head).toMatch(new RegExp(`^${whole.lines}-`))
  for (const name of ['audit_no_update', 'audit_no_delete']) db().run(sql.raw(`DROP TRIGGER ${name}`))
  db().run(sql`UPDATE audit SET subject = 'site-9' WHERE subject = 'site-2'`)
  expect(auditState(db(), firm.key).broken).toEqual({ at: T(3), number: whole.lines - 1 })
  db().run(sql`UPDATE audit SET subject = 'site-2' WHERE subject = 'site-9'`)
  expect(auditState(db(), firm.key)).toEqual(whole)
  db().run(sql`DELETE FROM audit WHERE subject = 'site-1'`)
  expect(auditState(db(), firm.key).broken).toMatchObject({ number: whole.lines - 1 })
  // As before it was chained.
  db().run(sql`UPDATE audit SET seq = 0, hash = ''`)
  chainAudits((db() as unknown as { $client: Parameters<typeof chainAudits>[0] }).$client)
  expect(auditState(db(), firm.key).broken).toBeUndefined()
})

it('the audit is only ever added to', () => {
  expect(readAudit(db(), firm.key).map(({ kind }) => kind)).toEqual(['firm-begun'])
  for (const tamper of [sql`UPDATE audit SET by = 'nobody'`, sql`DELETE FROM audit`])
    expect(() => db().run(tamper)).toThrow()
})

it('what a passkey is to sign is asked once, and holds for five minutes', () => {
  for (const attempt of ['a', 'b']) keepChallenge(attempt, 'sign this', 1_000)
  expect([challengeOf('a', 2_000), challengeOf('a', 2_000), challengeOf('b', 302_000), challengeOf('c')]).toEqual([
    'sign this',
    '',
    '',
    '',
  ])
})
