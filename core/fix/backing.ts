import type { Finding } from '../finding'
import { choiceName, coveringOf, isSheet, type Fastener, type Wall } from '../job'
import { words } from '../units'
import { steelFindings } from './sheet'
import type { Bearer } from './strength'

type About = Pick<Finding, 'stage' | 'subject'>

/** What is to be checked of a sheet behind the covering: what holds it is not in the sums. */
export function backingCaution(about: About, wall: Wall): Finding[] {
  const { kind } = wall.structure
  if (!isSheet(kind)) return []
  const taken = words`How that is fixed to the studs is not calculated, and it is taken to be behind all of the wall.`
  const bare = coveringOf(wall) > 0
    ? words` Where shear governs, cut the covering away, so that the plates bear on the ${choiceName(kind)}.`
    : []
  return [{
    ...about,
    severity: 'caution',
    code: 'backing-not-checked',
    message: words`The plates hang on the ${choiceName(kind)} behind the covering. ${taken}`,
    remedy: words`Check that it is fixed to every stud, and that each hole is clear of its edges and joints.${bare}`,
  }]
}

/** Whether a sheet behind the covering is as thick as its fastener was tested in, and the fastener comes through it. */
export function backingFindings(
  about: About, name: string, fastener: Fastener, wall: Wall, bearer: Bearer | undefined,
): Finding[] {
  const { kind, thickness } = wall.structure
  if (!isSheet(kind) || thickness === undefined) return []
  if (wall.structure.gauge !== undefined) return steelFindings(about, name, fastener, wall, bearer)
  const stop = { ...about, severity: 'stop', code: 'backing-too-thin' } as const
  const over = coveringOf(wall) + (bearer?.thickness ?? 0)
  const short = over + thickness - fastener.length
  const { minThickness = thickness } = fastener
  const sheet = choiceName(kind)
  const sum = words`covering and plate take ${over}, the sheet ${thickness}`
  return [
    ...thickness < minThickness - 1e-9
      ? [{
          ...stop,
          message: words`The ${sheet} is ${thickness} thick; ${name} was tested in ${minThickness}.`,
          remedy: words`Use a fastener that its maker tested in this sheet, or fix the plates to the studs.`,
        }]
      : [],
    ...short > 1e-9
      ? [{
          ...stop,
          message: words`${name} is ${short} too short to pass the ${sheet}: ${sum}.`,
          remedy: words`Use a longer screw.`,
        }]
      : [],
  ]
}
