import { expect, it } from 'vitest'
import { checkConfirmed, confirmSession } from './confirmed'
import type { SignedIn } from './sessions'

const MINUTE = 60_000
const began = Date.parse('2026-11-12T09:00:00Z')
const after = (minutes: number) => new Date(began + minutes * MINUTE)
const sessionOf = (session: string) => ({ session, beganAt: after(0).toISOString() }) as SignedIn

it('a session counts as its person’s own for ten minutes from its sign-in, and from its last confirmation', () => {
  const [own, other] = [sessionOf('own'), sessionOf('other')]
  const passes = (session: SignedIn, minutes: number) => () => checkConfirmed(session, after(minutes))
  expect(passes(own, 10)).not.toThrow()
  expect(passes(own, 10.1)).toThrow(/Confirm first that it is you/)
  confirmSession(own, after(60))
  expect(passes(own, 70)).not.toThrow()
  expect(passes(other, 60)).toThrow()
  expect(passes(own, 70.1)).toThrow()
})
