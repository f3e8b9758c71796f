import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { LogEntry } from '../log'
import { actionOfEntry, settlesAnothers, heldAt, may, reachOf, RIGHTS, ROLES, STAFF, type Action, type Grant } from '.'

const HERE = { site: 'holm-point' }
const held = (role: typeof ROLES[number], ...sites: string[]) => ({ role, sites })

describe('rights', () => {
  it('are those that each role was promised', () => {
    const mayHere = (role: typeof ROLES[number], action: Action) => may(held(role, 'holm-point'), action, HERE)
    expect(
      STAFF.map(role => [
        role,
        mayHere(role, 'wall.design'),
        mayHere(role, 'wall.issue'),
        mayHere(role, 'wall.record'),
      ]),
    ).toEqual([
      ['planner', true, true, true],
      ['lead', true, true, true],
      ['crew', false, false, true],
      ['service', false, false, false],
    ])
    for (const action of ['people.manage', 'audit.read', 'firm.rules', 'firm.catalogue', 'site.begin'] as const)
      expect(STAFF.filter(role => may(held(role), action))).toEqual(['planner'])
  })

  it('end at the site: a lead or a crew sees none but their own, service none but what was handed over', () => {
    for (const role of ['lead', 'crew'] as const)
      expect([
        may(held(role, 'holm-point'), 'site.read', HERE),
        may(held(role, 'stennick'), 'site.read', HERE),
        may(held(role), 'site.read', { ...HERE, closed: true }),
      ]).toEqual([true, false, false])
    expect(
      [undefined, false, true].map(closed =>
        may(held('service'), 'site.read', { ...HERE, ...(closed !== undefined && { closed }) }),
      ),
    ).toEqual([false, false, true])
  })

  it('let a client do two things by his link, and nobody of the firm those', () => {
    const ofClient = (Object.keys(RIGHTS) as Action[]).filter(action => reachOf('client', action))
    expect(ofClient).toEqual(['handover.read', 'handover.sign'])
    for (const role of STAFF) for (const action of ofClient) expect(may(held(role), action)).toBe(false)
  })

  it('let a planner do whatever anybody of the firm may, and who holds nothing nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(RIGHTS) as Action[])),
        fc.constantFrom(...ROLES),
        fc.boolean(),
        (action, role, closed) => {
          const place = { ...HERE, closed }
          if (role !== 'client' && may(held(role, 'holm-point'), action, place))
            expect(may(held('planner'), action, place)).toBe(true)
          expect(may(undefined, action, place)).toBe(false)
        },
      ),
    )
  })
})

describe('an entry', () => {
  it('wants the right that its kind wants, and a correction that of what it corrects', () => {
    expect(
      (['hole', 'issued', 'override', 'visit', 'correction'] as const).map(kind => actionOfEntry({ kind })),
    ).toEqual(['wall.record', 'wall.issue', 'wall.issue', 'wall.visit', 'wall.record'])
    expect((['issued', 'hole', 'seams'] as const).map(kind => actionOfEntry({ kind: 'correction' }, { kind }))).toEqual(
      ['wall.issue', 'wall.record', 'wall.visit'],
    )
  })

  it('lets whoever made a result withdraw it, and a lead or planner settle the others of a disputed hole', () => {
    const hole = (id: string, by: string, result: string) =>
      ({
        id,
        by,
        person: by,
        at: '2026-11-12T09:00:00Z',
        wall: 'w1',
        kind: 'hole',
        hole: 'h',
        x: 1,
        y: 1,
        result,
      }) as LogEntry
    const log = [hole('l1', 'isla', 'hit'), hole('l2', 'odd', 'void')]
    const settles = (by: string, entries = log) => settlesAnothers(entries, { id: 'w1' }, 'l1', { by, person: by })
    expect([settles('isla'), settles('odd'), settles('odd', log.slice(0, 1))]).toEqual([false, true, false])
    expect(actionOfEntry({ kind: 'correction' }, { kind: 'hole' }, true)).toBe('wall.issue')
  })
})

describe('a role over time', () => {
  const grants: Grant[] = [
    { role: 'crew', sites: ['holm-point'], from: '2026-11-02T08:00:00Z', to: '2026-11-20T12:00:00Z' },
    { role: 'lead', sites: ['holm-point'], from: '2026-11-20T12:00:00Z', to: null },
  ]
  it('is what was held at the moment, the new one from the very moment it was given', () => {
    expect(
      ['2026-11-01T00:00:00Z', '2026-11-20T11:59:59Z', '2026-11-20T13:00:00+01:00', '2026-12-01T00:00:00Z'].map(
        at => heldAt(grants, at)?.role,
      ),
    ).toEqual([undefined, 'crew', 'lead', 'lead'])
  })
})
