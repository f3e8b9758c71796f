import { caseTitle, testPull } from '../fix'
import type { Catalogue, Wall } from '../job'
import type { ArrayPlan } from '../mount'
import { quantity, words, type Text } from '../units'
import type { ClosingRecord } from './record'
import { screenLabel } from '../job/screenLabel'

/** What is checked at each screen, and recorded with its value, who and when. */
export const CHECKS = {
  pulled: { title: 'Pull test', unit: 'N' },
  torqued: { title: 'Torque', unit: 'N·m' },
  firmware: { title: 'Firmware', unit: undefined },
} as const
export type CheckKind = keyof typeof CHECKS

/** What the plan or a maker requires of a check at a screen: a figure in the check's unit, or a version. */
export type Required = number | string

/** A check that is required at a screen, or was recorded there. */
export interface Check {
  kind: CheckKind
  screen: string
  label: string
  required?: Required
  /** What requires it: a load case, a fastener’s maker, a display’s maker. */
  why?: string
  recorded?: Required
  /** What is wrong with what was recorded. */
  fault?: { severity: 'stop' | 'caution', what: Text }
}

type Position = ArrayPlan['positions'][number]

/** What is required of a check, and what requires it. */
type Asked = Pick<Check, 'required' | 'why'>

const byMaker = (required: Required | undefined, name: string): Asked =>
  required === undefined ? {} : { required, why: `the maker of ${name}` }

/** The largest torque that the makers of a plate's fasteners require, N·m. */
function torqueFor({ holes = [] }: Position, { fasteners }: Catalogue): Asked {
  const used = new Set(holes.map(({ fastener }) => fastener))
  const most = fasteners.filter(({ id }) => used.has(id)).sort((a, b) => (b.torque ?? 0) - (a.torque ?? 0))[0]
  return byMaker(most?.torque, most?.name ?? most?.id ?? '')
}

/** What each check requires at the screens of an array: the pull by its loads, the rest as the makers ask. */
function requiredIn(plan: ArrayPlan, wall: Pick<Wall, 'arrays'>, catalogue: Catalogue) {
  const mount = catalogue.mounts.find(({ id }) => id === wall.arrays.find(array => array.id === plan.id)?.mount)
  const pull = mount && testPull(plan.positions.flatMap(({ loads = [] }) => loads), mount)
  return (position: Position): Record<CheckKind, Asked> => {
    const display = catalogue.displays.find(({ id }) => id === position.model)
    return {
      pulled: position.plate && pull ? { required: Math.round(pull.force), why: caseTitle(pull.case) } : {},
      torqued: torqueFor(position, catalogue),
      firmware: byMaker(display?.firmware, display?.name ?? position.model),
    }
  }
}

/**
 * A figure may be less or more than required by this share before it is worth a word: one that was read off a scale in
 * other units is rounded, and a pull or a torque far beyond what is required may itself do harm.
 */
const [UNDER, OVER] = [0.01, 0.1]

const figureText = (kind: CheckKind, value: Required): Text =>
  typeof value === 'number' ? words`${quantity(value, CHECKS[kind].unit!)}` : words`${value}`

/** What is wrong with what was recorded, given what is required. */
function faultOf(
  kind: CheckKind,
  label: string,
  record: Pick<ClosingRecord, 'pulled' | 'torqued' | 'firmware'>,
  screen: string,
  required: Required | undefined,
): Check['fault'] {
  const pulled = kind === 'pulled' ? record.pulled.get(screen) : undefined
  if (pulled && !pulled.held) {
    const note = pulled.note ? `: ${pulled.note}` : ''
    return {
      severity: 'stop',
      what: words`The plate of ${label} moved at ${quantity(pulled.force, 'N')}${note}. Refit it and pull again.`,
    }
  }
  const recorded = recordedOf(kind, record, screen)
  if (recorded === undefined || required === undefined) return undefined
  const differs = typeof recorded === 'number' && typeof required === 'number'
    ? recorded < required * (1 - UNDER) || recorded > required * (1 + OVER)
    : recorded !== required
  const said = (value: Required) => figureText(kind, value)
  return differs
    ? {
        severity: 'caution',
        what: words`${CHECKS[kind].title} of ${label}: ${said(recorded)} recorded, ${said(required)} required.`,
      }
    : undefined
}

function recordedOf(
  kind: CheckKind,
  { pulled, torqued, firmware }: Pick<ClosingRecord, 'pulled' | 'torqued' | 'firmware'>,
  screen: string,
): Required | undefined {
  const last = {
    pulled: pulled.get(screen)?.force,
    torqued: torqued.get(screen)?.torque,
    firmware: firmware.get(screen)?.version,
  }
  return last[kind]
}

/**
 * The checks of a wall's screens: each that the plan or a maker requires, and each that was recorded.
 *
 * @param record what was recorded last at each screen
 */
export function checksOf(
  arrays: ArrayPlan[],
  wall: Pick<Wall, 'arrays'>,
  catalogue: Catalogue,
  record: Pick<ClosingRecord, 'pulled' | 'torqued' | 'firmware'>,
): Check[] {
  return arrays.flatMap((plan) => {
    const requiredAt = requiredIn(plan, wall, catalogue)
    return plan.positions.flatMap((position) => {
      const asked = requiredAt(position)
      const place = screenLabel(position)
      const label = arrays.length > 1 ? `${plan.name} ${place}` : place
      return (Object.keys(CHECKS) as CheckKind[]).flatMap((kind): Check[] => {
        const [{ required }, recorded] = [asked[kind], recordedOf(kind, record, position.id)]
        if (required === undefined && recorded === undefined) return []
        const fault = faultOf(kind, label, record, position.id, required)
        return [{
          kind, screen: position.id, label, ...asked[kind],
          ...recorded !== undefined && { recorded },
          ...fault && { fault },
        }]
      })
    })
  })
}
