import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cases } from '~~/tests/fixtures/soak'
import { changeAfter, changeState, type ChangeEvent, type PendingChange } from './pendingChange'

type Doc = Record<string, number>
type Theirs = { by: string }
const from = { version: 4, doc: { a: 1, b: 1 } as Doc }
const edit = (before: Doc, after: Doc): ChangeEvent<Doc, Theirs> => ({ kind: 'edited', before, after, from })
const all = (...events: ChangeEvent<Doc, Theirs>[]) =>
  events.reduce<PendingChange<Doc, Theirs> | undefined>((change, event) => changeAfter(change, event).change, undefined)
const aside = { conflict: { by: 'Odd' } }

describe('a change that waits', () => {
  const made = edit({ a: 1, b: 1 }, { a: 2, b: 1 })
  it('is waiting, sent and saved, each by its name', () => {
    const sent = all(made, { kind: 'sending' })
    const saved = all(made, { kind: 'sending' }, { kind: 'saved', sent: { a: 2, b: 1 }, kept: { ...from, version: 5 } })
    expect([all(made), sent, saved].map(changeState)).toEqual(['waiting', 'sent', 'saved'])
    expect(sent).toEqual({ version: 4, base: from.doc, doc: { a: 2, b: 1 }, sent: { a: 2, b: 1 } })
  })

  it('keeps what was changed after it was sent, as a change of the version that was saved', () => {
    const kept = { version: 5, doc: { a: 2, b: 1, number: 7 } }
    expect(all(
      made, { kind: 'sending' }, edit({ a: 2, b: 1 }, { a: 2, b: 3 }), { kind: 'saved', sent: { a: 2, b: 1 }, kept },
    )).toEqual({ version: 5, base: kept.doc, doc: { a: 2, b: 3, number: 7 } })
  })

  it('is laid on what another person changed elsewhere, and asks where both changed the same', () => {
    const overtaken = (doc: Doc, more = {}): ChangeEvent<Doc, Theirs> =>
      ({ kind: 'overtaken', now: { version: 9, doc }, aside, ...more })
    expect(changeAfter(all(made), overtaken({ a: 1, b: 8 })))
      .toEqual({ change: { version: 9, base: { a: 1, b: 8 }, doc: { a: 2, b: 8 } }, again: true, merged: true })
    const asked = all(made, { kind: 'sending' }, overtaken({ a: 7, b: 1 }))
    expect([changeState(asked), asked]).toEqual(['conflict', { ...all(made), ...aside }])
    expect(changeState(all(made, overtaken({ a: 1, b: 8 }, { may: () => false })))).toBe('conflict')
    const refused = all(made, overtaken({ a: 7, b: 1 }, { aside: { refused: 'Both changed a.' } }))
    expect(refused).toEqual({ version: 9, base: { a: 7, b: 1 }, doc: { a: 2, b: 1 }, refused: 'Both changed a.' })
    expect(all(made, overtaken({ a: 7, b: 1 }), { kind: 'sending' })).toEqual(asked)
  })

  it('waits where it is refused as it is, and goes again where a newer one is there or a person says so', () => {
    const refused: ChangeEvent<Doc, Theirs> = { kind: 'refused', sent: { a: 2, b: 1 }, why: 'No.' }
    expect(changeState(all(made, { kind: 'sending' }, refused))).toBe('refused')
    expect(changeAfter(all(made, { kind: 'sending' }, edit({ a: 2, b: 1 }, { a: 3, b: 1 })), refused))
      .toEqual({ change: { version: 4, base: from.doc, doc: { a: 3, b: 1 } }, again: true })
    expect(changeState(all(made, refused, { kind: 'resent' }))).toBe('waiting')
    expect(changeState(all(made, refused, edit({ a: 2, b: 1 }, { a: 3, b: 1 })))).toBe('waiting')
  })

  it('is none where it was changed back before it was sent, but is where something may be on its way', () => {
    const back = edit({ a: 2, b: 1 }, { a: 1, b: 1 })
    expect(all(made, back, { kind: 'sending' })).toBeUndefined()
    expect(all(made, { kind: 'sending' }, back)).toMatchObject({ doc: { a: 1, b: 1 }, sent: { a: 2, b: 1 } })
  })

  it('loses no edit of a place that nobody else changed, whatever happens to it in between', () => {
    const happened = fc.array(fc.oneof(
      fc.record({ kind: fc.constant('sending' as const) }),
      fc.record({ kind: fc.constant('resent' as const) }),
      fc.integer({ min: 2, max: 9 }).map(b => ({ b })),
      fc.constantFrom('saved' as const, 'refused' as const),
    ), { maxLength: 8 })
    const eventOf: Record<'saved' | 'refused', (sent: Doc, version: number) => ChangeEvent<Doc, Theirs>> = {
      saved: (sent, version) => ({ kind: 'saved', sent, kept: { version, doc: sent } }),
      refused: sent => ({ kind: 'refused', sent, why: 'No.' }),
    }
    const overtakenBy = (doc: Doc, version: number): ChangeEvent<Doc, Theirs> =>
      ({ kind: 'overtaken', now: { version, doc }, aside })
    fc.assert(fc.property(happened, (events) => {
      let [change, version, isSaved] = [all(made), 4, false]
      for (const event of events) {
        if (!change) break
        const { sent, base } = change
        let next: ChangeEvent<Doc, Theirs> | undefined
        if (typeof event === 'string')
          next = sent && eventOf[event](sent, ++version)
        else next = 'kind' in event ? event : overtakenBy({ ...base, b: event.b }, ++version)
        if (!next) continue
        change = changeAfter(change, next).change
        isSaved ||= next.kind === 'saved'
        if (change) expect(change.doc.a).toBe(2)
      }
      expect(change !== undefined || isSaved).toBe(true)
    }), { numRuns: cases(200) })
  })
})
