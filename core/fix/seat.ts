import type { Finding } from '../finding'
import { coveringOf, type Fastener, type ScreenArray, type Wall } from '../job'
import { words } from '../units'
import { breakout } from './capacity'
import { threadInWood } from './lag'
import type { Setting } from './setting'

/** Least thread in the wood, in diameters (NDS 12.1.4). */
const PENETRATION = 4
/** Thinnest base where its maker gives none, in embedments. */
const BASE = 1.5
/** From strength to allowable: strength reduction of anchors that concrete governs, over a mean load factor (ACI 318 17.5.3; IBC 1605). */
const ALLOWED_OF_STRENGTH = 0.65 / 1.6
/** Finishes that last outdoors or in the wet. */
const LASTING = ['stainless', 'galvanised', 'coated']

/** Everything in front of the base that an anchor must reach through, mm: covering, plate, washer and nut. */
export function overOf({ head = 0 }: Fastener, wall: Pick<Wall, 'covering'>, { bearer }: Pick<Setting, 'bearer'>): number {
  return coveringOf(wall) + (bearer?.thickness ?? 0) + head
}

/** How deep the base is, mm: of hollow block its shell, which is not known; of wood and steel it does not count. */
function baseOf({ structure }: Wall): number | undefined {
  if (structure.kind === 'block' && structure.block?.unit === 'hollow') return undefined
  return structure.thickness
}

/** Whether a fastener lasts where the wall is outside or wet. */
function finishFindings(about: Pick<Finding, 'stage' | 'subject'>, name: string, { finish }: Fastener, wall: Wall): Finding[] {
  if (!wall.windSpeed && !wall.wet) return []
  if (finish && LASTING.includes(finish)) return []
  return [finish === undefined
    ? { ...about, severity: 'stop', code: 'finish-not-known', message: words`This wall is ${wall.windSpeed ? 'outside' : 'wet'}, and the finish of ${name} is not known.`, remedy: words`Give it in the catalogue; stainless, galvanised or coated ones last here.` }
    : { ...about, severity: 'stop', code: 'fastener-corrodes', message: words`This wall is ${wall.windSpeed ? 'outside' : 'wet'}; ${name} is ${finish}.`, remedy: words`Take one that is stainless, galvanised or coated.` }]
}

/** Whether anchors keep the least distance from edges and from one another. */
function distanceFindings(about: Pick<Finding, 'stage' | 'subject'>, name: string, { edgeDistance, minSpacing }: Fastener, { edge, spacing }: Setting): Finding[] {
  return [
    ...edge !== undefined && edgeDistance !== undefined && edge < edgeDistance - 1e-9
      ? [{ ...about, severity: 'stop' as const, code: 'edge-too-near', message: words`A hole is ${edge} from an edge of the wall; ${name} needs ${edgeDistance}.`, remedy: words`Move the array, or take an anchor that may be set nearer.` }]
      : [],
    ...spacing !== undefined && minSpacing !== undefined && spacing < minSpacing - 1e-9
      ? [{ ...about, severity: 'stop' as const, code: 'spacing-too-near', message: words`Two holes are ${spacing} apart; ${name} needs ${minSpacing}.`, remedy: words`Move one within its slot, or take an anchor that may be set nearer.` }]
      : [],
  ]
}

/** Whether a fastener goes with its base, reaches far enough into it, keeps its distances and lasts. */
export function seatFindings(array: ScreenArray, fastener: Fastener, wall: Wall, setting: Setting): Finding[] {
  const about = { stage: 'fix', subject: array.id } as const
  const name = fastener.name ?? fastener.id
  const { kind } = wall.structure
  if (fastener.base !== kind) {
    return [{ ...about, severity: 'stop', code: 'fastener-of-another-base', message: words`${name} is for ${fastener.base.replace('-', ' ')}; this wall is ${kind.replace('-', ' ')}.`, remedy: words`Choose one that is made for this wall.` }]
  }
  return [
    ...reachFindings(about, name, fastener, wall, setting),
    ...distanceFindings(about, name, fastener, setting),
    ...finishFindings(about, name, fastener, wall),
  ]
}

function reachFindings(about: Pick<Finding, 'stage' | 'subject'>, name: string, fastener: Fastener, wall: Wall, setting: Setting): Finding[] {
  const stop = { ...about, severity: 'stop' as const }
  if (wall.structure.kind === 'wood-stud' && fastener.thread !== undefined) {
    const over = (setting.bearer?.thickness ?? 0) + coveringOf(wall)
    const { memberDepth } = wall.structure
    const [inWood, least] = [threadInWood(fastener, over, 0, memberDepth), PENETRATION * fastener.diameter]
    const through = memberDepth === undefined ? 0 : fastener.length - over - memberDepth
    if (through > 1e-9) return [{ ...stop, code: 'fastener-through-member', message: words`${name} comes out ${through} behind the member, which is ${memberDepth!} deep.`, remedy: words`Take a shorter screw.` }]
    return inWood < least - 1e-9
      ? [{ ...stop, code: 'penetration-too-small', message: words`${name} has ${inWood} of thread in the wood; ${least} is the least, four diameters (NDS 12.1.4).`, remedy: words`Take a longer screw.` }]
      : []
  }
  if (fastener.embedment === undefined) return []
  const [over, base] = [overOf(fastener, wall, setting), baseOf(wall)]
  const short = over + fastener.embedment - fastener.length
  const least = fastener.minThickness ?? BASE * fastener.embedment
  const { strength } = wall.structure
  const check = wall.structure.kind === 'concrete' && strength !== undefined && fastener.allowable ? breakout(strength, fastener.embedment).value * ALLOWED_OF_STRENGTH : undefined
  return [
    ...short > 1e-9 ? [{ ...stop, code: 'anchor-too-short', message: words`${name} is ${short} too short: ${over} of covering, plate and nut, and ${fastener.embedment} of embedment make ${over + fastener.embedment}.`, remedy: words`Take a longer anchor.` }] : [],
    ...base !== undefined && base < least ? [{ ...stop, code: 'base-too-thin', message: words`The base is ${base} thick; ${name} needs ${least}.`, remedy: words`Take an anchor that is set less deep.` }] : [],
    ...check !== undefined && fastener.allowable!.tension > check
      ? [{ ...about, severity: 'caution' as const, code: 'allowable-over-breakout', message: words`The sheet of ${name} allows ${fastener.allowable!.tension.toFixed(0)} N; concrete of ${String(strength)} MPa breaks out so as to allow ${check.toFixed(0)} N (ACI 318 17.6.2).`, remedy: words`Check the sheet’s figure for this concrete and embedment.` }]
      : [],
  ]
}
