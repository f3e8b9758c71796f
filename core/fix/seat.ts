import type { Finding } from '../finding'
import type { Fastener, Mount, ScreenArray, Wall } from '../job'
import { words } from '../units'
import { threadInWood } from './lag'

/** Least thread in the wood, in diameters (NDS 12.1.4). */
const PENETRATION = 4
/** Thinnest base where its maker gives none, in embedments. */
const BASE = 1.5

/** Everything in front of the base that an anchor must reach through, mm: covering, plate, washer and nut. */
export function overOf({ head = 0 }: Fastener, wall: Pick<Wall, 'covering'>, mount: Mount): number {
  return wall.covering.reduce((sum, { thickness }) => sum + thickness, 0) + mount.plate.thickness + head
}

/** How deep the base is, mm; of hollow block it is not known. */
function baseOf({ structure }: Wall): number | undefined {
  if (structure.kind === 'block' && structure.block?.unit === 'hollow') return undefined
  return structure.thickness
}

/** Whether a fastener goes with its base and reaches far enough into it. */
export function seatFindings(array: ScreenArray, fastener: Fastener, wall: Wall, mount: Mount): Finding[] {
  const about = { severity: 'stop', stage: 'fix', subject: array.id } as const
  const name = fastener.name ?? fastener.id
  const { kind } = wall.structure
  if (fastener.base !== kind) {
    return [{ ...about, code: 'fastener-of-another-base', message: words`${name} is for ${fastener.base.replace('-', ' ')}; this wall is ${kind.replace('-', ' ')}.`, remedy: words`Choose one that is made for this wall.` }]
  }
  if (kind === 'wood-stud' && fastener.thread !== undefined) {
    const covering = wall.covering.reduce((sum, { thickness }) => sum + thickness, 0)
    const [inWood, least] = [threadInWood(fastener, mount.plate.thickness, covering), PENETRATION * fastener.diameter]
    return inWood < least - 1e-9
      ? [{ ...about, code: 'penetration-too-small', message: words`${name} has ${inWood} of thread in the wood; ${least} is the least, four diameters (NDS 12.1.4).`, remedy: words`Take a longer screw.` }]
      : []
  }
  if (fastener.embedment === undefined) return []
  const [over, base] = [overOf(fastener, wall, mount), baseOf(wall)]
  const short = over + fastener.embedment - fastener.length
  const least = fastener.minThickness ?? BASE * fastener.embedment
  return [
    ...short > 1e-9 ? [{ ...about, code: 'anchor-too-short', message: words`${name} is ${short} too short: ${over} of covering, plate and nut, and ${fastener.embedment} of embedment make ${over + fastener.embedment}.`, remedy: words`Take a longer anchor.` }] : [],
    ...base !== undefined && base < least ? [{ ...about, code: 'base-too-thin', message: words`The base is ${base} thick; ${name} needs ${least}.`, remedy: words`Take an anchor that is set less deep.` }] : [],
  ]
}
