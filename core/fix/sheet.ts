import { fastenerKindOf, reachThroughSteel } from '../fastening'
import type { Finding } from '../finding'
import { coveringOf, type Fastener, type Wall } from '../job'
import { quantity, words } from '../units'
import type { Bearer } from './strength'

/** The array that a finding is about. */
type About = Pick<Finding, 'stage' | 'subject'>

/** Thinner than this the steel of a stud carries no load-bearing hole, mm: 22 gauge structural. */
const STRUCTURAL = 0.75

const stopOf = (about: About) => ({ ...about, severity: 'stop' as const })

/** What a toggle carries is for the steel that it was tested in: of a stud that nobody measured it is not known. */
const steelUnknown = (about: About, name: string): Finding => ({
  ...stopOf(about),
  code: 'gauge-not-known',
  message: words`The steel thickness of the studs is not known, so the capacity of ${name} in them is not known.`,
  remedy: words`Enter it in Survey, under Wall.`,
})

/** Whether the steel of a stud is thick enough, and no thinner than a toggle was tested in. */
function sheetFindings(about: About, name: string, fastener: Fastener, gauge: number): Finding[] {
  const [stop, sheet] = [stopOf(about), quantity(gauge, 'mm')]
  if (gauge < STRUCTURAL - 1e-9) {
    const least = words`It requires at least ${quantity(STRUCTURAL, 'mm')}.`
    return [{
      ...stop,
      code: 'steel-stud-too-thin',
      facts: [gauge],
      message: words`The studs are ${sheet} of steel: drywall studs, which carry no load-bearing hole. ${least}`,
      remedy: words`Fix the plate to blocking, to a backing board on every stud, or to structural studs.`,
    }]
  }
  if (!fastenerKindOf(fastener).testedInSheet) return []
  if (fastener.gauge === undefined) {
    const where = words`The steel thickness that ${name} was tested in is not known`
    return [{
      ...stop,
      code: 'gauge-not-known',
      message: words`${where}, so its capacity in ${sheet} is not known.`,
      remedy: words`Enter it in the catalogue, from the maker’s data sheet.`,
    }]
  }
  if (gauge >= fastener.gauge - 1e-9) return []
  return [{
    ...stop,
    code: 'steel-thinner-than-tested',
    facts: [gauge],
    message: words`${name} was tested in steel ${quantity(fastener.gauge, 'mm')} thick; these studs are ${sheet}.`,
    remedy: words`Use a fastener that its maker tested in this steel, or blocking.`,
  }]
}

/** Whether a screw reaches the steel and comes through it. */
function reachFindings(about: About, name: string, screw: Fastener, wall: Wall, bearer?: Bearer): Finding[] {
  const gauge = wall.structure.gauge!
  const behind = screw.length - coveringOf(wall) - (bearer?.thickness ?? 0)
  const least = reachThroughSteel(screw, gauge)
  if (behind >= least - 1e-9) return []
  const needs = words`it requires ${least} for the steel, three threads beyond it and the drill point`
  return [{
    ...stopOf(about),
    code: behind <= 0 ? 'screw-does-not-reach-steel' : 'screw-not-through-steel',
    message: behind <= 0
      ? words`${name} stops ${-behind} short of the steel.`
      : words`${name} goes ${behind} past the face of the steel; ${needs}.`,
    remedy: words`Use a screw at least ${least - behind} longer.`,
  }]
}

/** What is said of a fastener in a steel stud: of the stud's steel, and of a screw that has to come through it. */
export function steelFindings(
  about: About, name: string, fastener: Fastener, wall: Wall, bearer?: Bearer,
): Finding[] {
  const { gauge } = wall.structure
  if (gauge === undefined) return fastenerKindOf(fastener).testedInSheet ? [steelUnknown(about, name)] : []
  return [
    ...sheetFindings(about, name, fastener, gauge),
    ...fastenerKindOf(fastener).cutsSteel ? reachFindings(about, name, fastener, wall, bearer) : [],
  ]
}
