import { expect, it } from 'vitest'
import type { OutboxState } from './outboxState'
import { SAVED, savingAfter, saveState, type Saving, type SavingEvent } from './savingState'

const quiet: OutboxState = { sending: false, offline: false }
const after = (...events: SavingEvent[]) => events.reduce(savingAfter, SAVED)
const waiting = { version: 1, base: {}, doc: {} }
const said = (saving: Saving, sending: Partial<OutboxState> = {}, isAsked = false, isElseSent = true) =>
  saveState(saving, { ...quiet, ...sending }, isAsked, isElseSent)

it('says saved only where the device’s store and the server have every edit', () => {
  expect(said(SAVED)).toBe('saved')
  expect(said(after({ kind: 'edited' }))).toBe('saving')
  expect(said(after({ kind: 'edited' }, { kind: 'kept', upTo: 1 }, { kind: 'read', change: waiting }))).toBe('saving')
  expect(said(after({ kind: 'edited' }, { kind: 'kept', upTo: 1 }, { kind: 'read', change: undefined }))).toBe('saved')
  expect(said(after({ kind: 'edited' }, { kind: 'edited' }, { kind: 'kept', upTo: 1 }))).toBe('saving')
  expect(said(SAVED, {}, false, false)).toBe('saving')
})

it('says what keeps it from being saved, the worst first', () => {
  const refused = after({ kind: 'read', change: { ...waiting, refused: 'No.' } })
  expect([refused.change, refused.refused]).toEqual(['refused', 'No.'])
  const edited = after({ kind: 'edited' })
  expect([
    said(edited, { offline: true }), said(edited, { trouble: 'It is full.' }), said(refused, { offline: true }),
    said(refused, { store: 'full' }), said(refused, { store: 'denied' }, true),
  ]).toEqual(['offline', 'trouble', 'refused', 'full', 'conflict'])
})

it('knows that a person has resolved a conflict before the device’s store does', () => {
  expect(after({ kind: 'resolving' }).isResolving).toBe(true)
  expect(after({ kind: 'resolving' }, { kind: 'resolved' }).isResolving).toBe(false)
})
