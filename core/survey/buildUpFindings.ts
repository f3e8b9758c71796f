import type { CodeOf, Finding } from '../finding'
import { choiceName, coveringOf, isOpenUnit, structureKindOf, unitsOf, type Wall } from '../job'
import { words, type Text } from '../units'

/** Coverings that carry nothing by themselves, and that break under a hammer drill. */
const BRITTLE = new Set(['tile', 'stone', 'lath-plaster'])
/** Coverings that are there to be looked at. */
const FACINGS = new Set(['tile', 'stone'])
/** A detector in its usual mode looks so deep, mm; house figure. */
const DETECTOR_DEPTH = 25

/** Whether plaster on lath covers the studs: its nails, and lath of metal, are read where no stud is. */
export const isLathed = ({ covering }: Pick<Wall, 'covering'>): boolean =>
  covering.some(({ material }) => material === 'lath-plaster')

/** Whether studs are, or are to be, found through the covering: not where they are known, or were found from behind. */
const isReadThrough = ({ structure, evidence = [] }: Wall): boolean =>
  !structure.members?.length && (evidence.length === 0 || evidence.some(({ side }) => side !== 'back'))

/** What breaks where a wall is drilled with hammer action, in words. */
function brittleIn({ structure, covering }: Wall): string[] {
  const units = unitsOf(structure)
  return [
    ...covering.filter(({ material }) => BRITTLE.has(material)).map(({ material }) => choiceName(material)),
    ...units && isOpenUnit(units) ? [`${units.unit} ${structureKindOf(structure).units}`] : [],
  ]
}

/**
 * What the build-up of a wall does to its readings, its holes and its anchors: lath, deep coverings, what breaks under
 * a hammer drill, facings that carry nothing, and bricks of unknown strength.
 */
export function buildUpFindings(wall: Wall): Finding[] {
  const { structure, covering } = wall
  const { framed, units: unitName } = structureKindOf(structure)
  const caution = (code: CodeOf<'caution'>, message: Text, remedy: Text): Finding =>
    ({ severity: 'caution', code, stage: 'survey', subject: { kind: 'wall', id: wall.id }, message, remedy })
  const atTheDrill: typeof caution = (...of) => ({ ...caution(...of), atTheDrill: true })
  const [brittle, deep] = [[...new Set(brittleIn(wall))], coveringOf(wall)]
  const facings = covering.map(({ material }) => material).filter(material => FACINGS.has(material))
  const read = framed && isReadThrough(wall)
  return [
    ...read && isLathed(wall)
      ? [caution(
          'lath-misleads',
          words`Lath nails and metal lath mislead magnets and detectors. On this wall a magnet confirms no stud.`,
          words`Confirm each stud with a probe: a fine bit, as a nail breaks the plaster.`,
        )]
      : [],
    ...read && deep > DETECTOR_DEPTH
      ? [caution(
          'covering-deep',
          words`The covering is ${deep} thick: a detector in its usual mode reads up to ${DETECTOR_DEPTH}.`,
          words`Use its deep mode. Confirm the studs that carry with a probe through all layers.`,
        )]
      : [],
    ...brittle.length > 0
      ? [atTheDrill(
          'drill-without-hammer',
          words`Hammer action breaks ${brittle.join(' and ')}.`,
          words`Drill without hammer, with a bit made for it, and go on with the bit for the structure behind it.`,
        )]
      : [],
    ...facings.length > 0
      ? [caution(
          'facing-carries-nothing',
          words`A facing of ${facings.join(' and ')} carries nothing here, and its own fixing is not checked.`,
          words`Fix through it into the structure, and tighten no more than the anchor’s maker allows over it.`,
        )]
      : [],
    ...unitName === 'brick' ? brickFindings(wall, atTheDrill) : [],
  ]
}

/** What of some findings a person who drills has to know, each with its remedy. */
export const drillingCautions = (findings: Finding[]): Text[] =>
  findings.filter(({ atTheDrill }) => atTheDrill).map(({ message, remedy }) => words`${message} ${remedy ?? words``}`)

function brickFindings(
  { structure }: Wall, atTheDrill: (code: CodeOf<'caution'>, message: Text, remedy: Text) => Finding,
): Finding[] {
  return [
    atTheDrill(
      'brick-strength-not-known',
      words`The strength of these bricks is not known. The makers’ values are for the bricks that they tested.`,
      words`Test one anchor with a pull before the others are set, as its maker says. Mortar joints carry nothing.`,
    ),
    ...unitsOf(structure)?.unit === 'frogged'
      ? [atTheDrill(
          'frog-in-brick',
          words`A frogged brick is hollow at one of its beds.`,
          words`Drill at mid-height of the brick. If the bit breaks into a hollow, record a void.`,
        )]
      : [],
  ]
}
