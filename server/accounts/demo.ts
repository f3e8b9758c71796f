import type { PersonSummary } from '../../core/api/people'
import type { StaffRole } from '../../core/people'
import { atomically } from '../database/atomically'
import { isForThisMachineOnly, isThisMachine } from '../guard/hosts'
import { beginFirm, listFirms } from './firms'
import type { Accounts } from './form'
import { codeForFirm, inviteToReset } from './invitations'
import { addPerson, listPeople, personHere } from './people'

/** The firm of the demo, and who works there. */
const FIRM = 'Brandt & Holt, display fitters'
const PEOPLE: { name: string, role: StaffRole, sites?: string[] }[] = [
  { name: 'Isla Brandt', role: 'planner' },
  { name: 'Ranveig Holt', role: 'lead', sites: ['holm-point', 'ravel-sands', 'stennick'] },
  { name: 'Odd Varga', role: 'crew', sites: ['holm-point', 'stennick'] },
  { name: 'Jun Petrie', role: 'crew', sites: ['ravel-sands'] },
  { name: 'Signe Aldous', role: 'crew', sites: ['ravel-sands', 'holm-point'] },
  { name: 'Marek Sund', role: 'crew', sites: ['holm-point', 'ravel-sands', 'stennick'] },
  { name: 'Tove Marsh', role: 'service' },
]

/** Begins the demo's firm where there is none. */
export function seedPeople(accounts: Accounts, at: string): void {
  atomically(accounts, () => {
    if (listFirms(accounts).length > 0) return
    const { key } = beginFirm(accounts, FIRM, at)
    for (const { name, role, sites = [] } of PEOPLE)
      addPerson(
        accounts,
        key,
        { name, address: `${name.split(' ')[0]!.toLowerCase()}@brandt-holt.example`, password: null, role, sites },
        at,
      )
  })
}

/**
 * Whether one goes in as one of the demo's people by a click: only on the machine where the demo runs, and not through
 * a proxy there, which may stand for any other machine.
 */
export const isOffered = (host: string | undefined, forwarded?: string): boolean =>
  process.env.WT_DEMO === '1' && forwarded === undefined && isForThisMachineOnly() && isThisMachine(host)

/** People of the demo as whom one can go in. */
export function demoPeople(accounts: Accounts): PersonSummary[] {
  const [firm] = listFirms(accounts)
  return firm ? listPeople(accounts, firm.key) : []
}

/**
 * What is said where the server runs, of how to come in for the first time; nothing where a person can come in already.
 */
export function howToComeIn(accounts: Accounts, address: string, now: Date): string | undefined {
  const [firm] = listFirms(accounts)
  if (!firm)
    return `There is no firm yet. Create one at ${address}/begin with this code, which works `
      + `once: ${codeForFirm(accounts, now)}`
  const planner = listPeople(accounts, firm.key).find(({ role }) => role === 'planner')
  if (process.env.WT_DEMO !== '1' || isForThisMachineOnly() || !planner || planner.hasPassword) return undefined
  const secret = inviteToReset(accounts, personHere(accounts, firm.key, planner.id), planner, 'The server', now)
  return `Other machines can reach this demo, so one-click sign-in is off. ${planner.name} sets a password `
    + `at ${address}/join/${secret}`
}
