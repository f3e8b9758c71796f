import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { useLocalStorage } from '@vueuse/core'
import { may as mayDo, type Action, type StaffRole } from '~~/core/people'
import { api, ApiError } from '../utils/api'
import { forgetFiles } from '../sync/forgetFiles'
import { useMe } from '../composables/useMe'

/** A person who is signed in on this device, of which firm; and when the server said so last. */
export interface SignedIn {
  person: { id: string, name: string, address: string, role: StaffRole, sites: string[] }
  firm: { id: string, name: string, deviceDays: number, first: boolean }
}
interface Kept extends SignedIn { confirmedAt: number, session?: string, locked?: string }
/** How one comes in here. */
interface Answer extends Partial<SignedIn> {
  begun: boolean
  session?: string
  ended?: string
  demo?: Pick<SignedIn['person'], 'id' | 'name' | 'role' | 'sites'>[]
}

const DAY = 86_400_000
/**
 * What a device keeps of a firm is in a store of its own; the first firm's has the name that it had before there were
 * several.
 */
export const deviceNameOf = ({ id, first }: SignedIn['firm']): string => first ? 'wide-trellis' : `wide-trellis-${id}`

const TOO_LONG = 'This device has been offline for longer than the firm allows. Connect and sign in again. Unsent '
  + 'work is kept.'

/** What takes walls off the device's store comes with the store, which nobody needs to sign in. */
const forget = () => import('../sync/forget')

/** What another person read here, and he does not see, goes. */
async function forgetOthers({ person, firm }: SignedIn): Promise<void> {
  const sees = (site: string) => person.role !== 'service' && mayDo(person, 'site.read', { site })
  await Promise.all([forgetFiles(), forget().then(({ forgetWalls }) => forgetWalls(deviceNameOf(firm), sees))])
}

/** Whether the server has not been heard for too long; a clock that was put back counts as too long ago. */
const isTooOld = ({ confirmedAt, firm }: Kept, now = Date.now()): boolean =>
  now - confirmedAt > firm.deviceDays * DAY || now < confirmedAt - DAY

type Forget = Awaited<ReturnType<typeof forget>>

/** Takes files, keys and what else is said of a firm off this device. */
async function leaveDevice(firm: SignedIn['firm'], act: (by: Forget, name: string) => Promise<void>): Promise<void> {
  const name = deviceNameOf(firm)
  await Promise.all([forgetFiles(), forget().then(by => Promise.all([act(by, name), by.forgetKeys(name)]))])
}

/** Whether the server has ended this session already: no failure of signing out. */
function isSignedOutAlready(error: unknown): boolean {
  return error instanceof ApiError && error.status === 401
}

/** Does something while a flag is up. */
async function during(flag: { value: boolean }, act: () => Promise<void>): Promise<void> {
  flag.value = true
  await act().finally(() => { flag.value = false })
}

/** Why a device has to sign in again whose session the server does not know. */
const SIGNED_OUT = 'This device has been signed out. Sign in again. Unsent work is kept.'

/** Whether it is another person now, or the same with other rights. */
const hasOtherRights = ({ person }: Kept, { person: now }: SignedIn) =>
  person.id !== now.id || person.role !== now.role || JSON.stringify(person.sites) !== JSON.stringify(now.sites)

/** What is not said where the server takes a device as signed out already. */
const unlessSignedOut = (error: unknown) => { if (!isSignedOutAlready(error)) throw error }

/**
 * Who is signed in on this device, what he may do, and signing in and out. Known without a connection too, for as many
 * days as the firm allows.
 */
export const useSessionStore = defineStore('session', () => {
  const kept = useLocalStorage<Kept | null>('wide-trellis:signed-in', null, {
    serializer: { read: text => JSON.parse(text) as Kept | null, write: JSON.stringify },
  })
  const [begun, asked] = [ref(true), ref(false)]
  const demo = ref<Answer['demo']>()
  const open = computed(() => kept.value && !kept.value.locked ? kept.value : undefined)
  const me = useMe()
  const person = computed(() => open.value?.person)
  const firm = computed(() => open.value?.firm)
  /** The session in which a person is signed in here, and who that is; undefined until the server has said so. */
  const own = computed(() => open.value?.session === undefined
    ? undefined
    : { session: open.value.session, person: open.value.person.id })
  /** Why this device has to sign in again. */
  const locked = computed(() => kept.value?.locked)

  function note(next: Kept | null) {
    kept.value = next
    me.name.value = next?.person.name ?? ''
    me.id.value = next?.person.id ?? ''
  }
  note(kept.value)

  /** What was read here is gone from this device until a person signs in again; what is unsent stays. */
  async function lock(why: string) {
    if (!kept.value || kept.value.locked) return
    const { firm } = kept.value
    note({ ...kept.value, locked: why })
    await leaveDevice(firm, ({ forgetWalls }, name) => forgetWalls(name, () => false))
  }

  /** Asks the server who is signed in; without a connection this device knows, for a while. */
  async function confirm() {
    try {
      const answer = await api<Answer>('/session')
      begun.value = answer.begun
      demo.value = answer.demo
      asked.value = true
      if (!answer.person || !answer.firm) return await lock(answer.ended ?? SIGNED_OUT)
      const before = kept.value
      note({ person: answer.person, firm: answer.firm, session: answer.session, confirmedAt: Date.now() })
      if (before && hasOtherRights(before, answer as SignedIn)) await forgetOthers(answer as SignedIn)
    }
    catch (error) {
      if (!(error instanceof ApiError) || !error.isOffline) throw error
      if (kept.value && isTooOld(kept.value)) await lock(TOO_LONG)
    }
  }

  /** Whether the signed-in person may do a thing: at a site, and for service at a wall that was handed over. */
  const may = (action: Action, site?: string, closed = true): boolean =>
    mayDo(person.value, action, site === undefined ? undefined : { site, closed })

  /** Whether it is being signed out: what is taken off this device is not put back meanwhile. */
  const leaving = ref(false)
  const signOut = () => during(leaving, endSession)
  async function endSession() {
    await api('/session', { method: 'DELETE', body: {} }).catch(unlessSignedOut)
    const { firm } = kept.value ?? {}
    await (firm ? leaveDevice(firm, ({ forgetPlans }, name) => forgetPlans(name)) : forgetFiles())
    note(null)
  }

  return { begun, demo, asked, person, firm, own, locked, leaving, confirm, lock, may, signOut }
})
