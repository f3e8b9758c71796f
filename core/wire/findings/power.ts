import type { Finding } from '../../finding'
import { itemName, type PlanContext, type Rules, type Source, type Wall } from '../../job'
import { words } from '../../units'
import { isSignal } from '../boxes/boxes'
import { isOutside } from '../boxes/fit'
import { isFeed, nameOfSource } from '../sources'
import { byPlace, type ByPlace } from '../circuits/byPlace'
import type { Wiring } from '../wiring'
import { about, labels, some } from './about'

/** By the house rule on power, what boxes there should be. */
const BY_RULE = { electrician: ['power', 'floor'], kit: ['kit-upper', 'kit-lower'], outlet: [] as string[] }
const RULE_WORDS = {
  electrician: 'hard-wired by a licensed electrician',
  kit: 'by a listed in-wall kit',
  outlet: 'from an existing outlet',
}
const FEEDS = new Set<string>(['power', 'kit-upper', 'floor'])

/** Boxes that the house rule on power does not name, and screens that none of them feeds. */
function ruleFindings(wall: Wall, { boxes, loads }: Wiring, power: NonNullable<Rules['power']>): Finding[] {
  const against = boxes.filter(({ kind }) => !isSignal(kind) && !BY_RULE[power].includes(kind))
  const isFed = (screen: string) => boxes.some(box => FEEDS.has(box.kind) && box.for.includes(screen))
  const isAsked = power !== 'outlet' && (wall.sources ?? []).some(isFeed)
  const bare = isAsked ? loads.filter(({ screen }) => !isFed(screen)) : []
  return [
    ...against.length > 0
      ? [{
          ...about(wall),
          severity: 'caution' as const,
          code: 'power-against-rule' as const,
          message: words`The house rule requires power ${RULE_WORDS[power]}, and
            ${some(against.map(box => `box ${itemName(box)}`))} ${against.length === 1 ? 'does' : 'do'} not comply.`,
          remedy: words`Use other boxes, or choose another rule for this wall.`,
        }]
      : [],
    ...bare.length > 0
      ? [{
          ...about(wall),
          severity: 'caution' as const,
          code: 'no-box' as const,
          message: words`${labels(bare)} ${bare.length === 1 ? 'has' : 'have'} no power box.`,
          remedy: words`Add power boxes in Wire, under Boxes.`,
        }]
      : [],
  ]
}

/** In-wall kits that no outlet feeds. */
function kitFindings(wall: Wall, { boxes, circuits }: Wiring, used: Source[]): Finding[] {
  const outlets = used.filter(({ kind }) => kind === 'outlet').map(({ id }) => id)
  const fed = circuits.filter(({ id }) => outlets.includes(id)).flatMap(({ screens }) => screens)
  const bare = boxes.filter(({ kind, for: of }) => kind === 'kit-lower' && !of.some(screen => fed.includes(screen)))
  if (bare.length === 0) return []
  return [{
    ...about(wall),
    severity: 'stop',
    code: 'kit-without-outlet',
    message: words`An in-wall kit is fed by a cord from an existing outlet, and none is entered for
      ${some(bare.map(box => `box ${itemName(box)}`))}.`,
    remedy: words`Add the outlet in Wire, under Power. A kit cannot be wired to a circuit; use a power box for that.`,
  }]
}

/** What feeds displays that are outside or wet, and how cables enter there. */
function outsideFindings(wall: Wall, used: Source[], { protection, cover }: ByPlace): Finding[] {
  if (!isOutside(wall) || used.length === 0) return []
  const open = used.filter(source => source.protected !== true)
  return [
    ...open.map((source): Finding => source.protected === false
      ? {
          ...about(wall),
          severity: 'stop',
          code: 'outlet-not-protected',
          message: words`${nameOfSource(source)} feeds a display that is outside or wet, without protection by a
            ${protection}.`,
          remedy: words`Have it fitted by a licensed person.`,
        }
      : {
          ...about(wall),
          severity: 'caution',
          code: 'protection-not-known',
          message: words`It is not known whether ${nameOfSource(source)} is protected by a ${protection}, and it feeds a
            display that is outside or wet.`,
          remedy: words`Test it, and enter the result in Wire, under Power.`,
        }),
    {
      ...about(wall),
      severity: 'note',
      code: 'outside',
      message: words`Outside or wet: use ${cover}, make a drip loop in every cable below its entry, and seal every
        opening.`,
    },
  ]
}

/** What is wrong with how power comes to the screens, and what is said to those who open the wall for it. */
export function powerFindings(wall: Wall, wiring: Wiring, { rules, site }: PlanContext): Finding[] {
  const { power = 'electrician' } = rules
  const { boxes, circuits } = wiring
  const feeding = new Set(circuits.filter(({ screens }) => screens.length > 0).map(({ id }) => id))
  const used = (wall.sources ?? []).filter(source => isFeed(source) && feeding.has(source.id))
  const isCut = boxes.some(({ bay: [left, right] }) => left !== undefined || right !== undefined)
  return [
    ...ruleFindings(wall, wiring, power),
    ...kitFindings(wall, wiring, used),
    ...outsideFindings(wall, used, byPlace(site?.electricalRules)),
    ...used.length > 0
      ? [{
          ...about(wall),
          severity: 'note' as const,
          code: 'licensed-people' as const,
          message: words`Only licensed electricians may install, protect and test fixed wiring, under local code.
            Isolate, lock off and prove dead before opening a box; detect live cables before cutting.`,
        }]
      : [],
    ...(wall.linedIn ?? 3000) < 1990 && isCut
      ? [{
          ...about(wall),
          severity: 'caution' as const,
          code: 'old-lining-cut' as const,
          message: words`The lining dates from ${String(wall.linedIn)}: it may contain asbestos or lead, and the plan
            cuts it.`,
          remedy: words`Have it tested before opening anything.`,
        }]
      : [],
  ]
}
