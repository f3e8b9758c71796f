import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { actionOfEntry } from '../people'
import { asBuilt, closedStage, LOG_KINDS, type EntryKind, type LogEntry } from './index'
import { ENTRY_SCHEMAS } from './schemas'

const said = { by: 'Isla', wall: 'w1', at: '2026-11-12T09:00:00Z' }
const entry = (id: string, rest: object) => ({ id, ...said, ...rest }) as LogEntry

describe('the kinds of log entry', () => {
  it('are one file each, listed by the name that its schema asks for', () => {
    const shared = ['index.ts', 'kind.ts', 'standing.ts']
    const files = readdirSync('core/log/kinds').filter(file => !shared.includes(file))
    const fileOf = (kind: string) => `${kind.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase())}.ts`
    const names = Object.keys(LOG_KINDS).map(fileOf)
    expect(names.sort()).toEqual(files.sort())
    for (const [kind, schema] of Object.entries(ENTRY_SCHEMAS)) {
      expect(schema.fields.kind.describe()).toMatchObject({ oneOf: [kind] })
    }
    // @ts-expect-error a kind that is not listed is none
    const unlisted: EntryKind = 'no-such-kind'
    expect(LOG_KINDS).not.toHaveProperty(unlisted)
  })

  it('need each a right; a correction that of what it corrects, of whatever kind that is', () => {
    expect(actionOfEntry({ kind: 'issued' })).toBe('wall.issue')
    expect(actionOfEntry({ kind: 'correction' }, { kind: 'override' })).toBe('wall.issue')
    expect(actionOfEntry({ kind: 'correction' }, { kind: 'serial' })).toBe('wall.visit')
    expect(actionOfEntry({ kind: 'correction' }, { kind: 'correction' })).toBe('wall.record')
    expect(actionOfEntry({ kind: 'correction' })).toBe('wall.record')
  })

  it('close a stage, whatever comes after', () => {
    const issued = entry('l1', { kind: 'issued', revision: 'A' })
    const signed = entry('l2', { kind: 'signed', name: 'Una' })
    const remark = entry('l3', { kind: 'remark', note: 'dusty' })
    expect([[remark], [issued, remark], [signed, issued]].map(closedStage)).toEqual([undefined, 'mark', 'close'])
  })

  it('fold into what stands: the last of a step, a hole at each of its places, no override that was ended', () => {
    const built = asBuilt([
      entry('l1', { kind: 'step', step: 'hang', done: true, minutes: 4 }),
      entry('l2', { kind: 'hole', hole: 'h1', x: 100, y: 200, result: 'miss' }),
      entry('l3', { kind: 'hole', hole: 'h1', x: 120, y: 200, result: 'hit' }),
      entry('l4', { kind: 'hole', hole: 'h1', x: 120.5, y: 200, result: 'stripped' }),
      entry('l5', { kind: 'override', code: 'c', subject: 's', reason: 'r' }),
      entry('l6', { kind: 'override-ended', code: 'c', subject: 's' }),
      entry('l7', { kind: 'step', step: 'hang', done: false }),
      entry('l8', { kind: 'hung', screen: 'a1-r1c1' }),
      entry('l9', { kind: 'correction', corrects: 'l8', note: 'another screen' }),
    ], { id: 'w1' })
    expect(built.steps).toEqual([{ step: 'hang', done: false, by: 'Isla', at: said.at }])
    expect(built.holes.map(({ x, result }) => [x, result])).toEqual([[100, 'miss'], [120.5, 'stripped']])
    expect([built.overrides, built.hung]).toEqual([[], []])
  })
})
