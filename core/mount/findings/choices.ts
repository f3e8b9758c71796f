import type { Cell } from '../../arrange'
import type { CodeOf, Finding } from '../../finding'
import { choiceName, hasBacking, isSheet, type Catalogue, type ScreenArray, type Wall } from '../../job'
import { isFramed, type Survey } from '../../survey'
import { counted, words } from '../../units'
import { sameUse } from '../models'

/** Findings about the settings of an array, before anything is placed by them. */
export function choiceFindings(
  array: ScreenArray, cells: Cell[], wall: Wall, { mounts }: Catalogue, members: Survey['members'],
): Finding[] {
  const stop = (code: CodeOf<'stop'>, message: Finding['message'], remedy?: Finding['remedy']): Finding => ({
    severity: 'stop',
    code,
    stage: 'mount',
    subject: { kind: 'array', id: array.id },
    message,
    ...(remedy && { remedy }),
  })
  const withoutStuds = isFramed(wall) && hasBacking(wall) && members.length === 0
  const noStud = words`No stud of this wall is known, and ${array.name} is fixed to studs.`
  const survey = words`Survey them, or choose a fastener for the backing.`
  const { kind } = wall.structure
  const withoutStrip = isSheet(kind)
    ? `its fastener goes into the ${choiceName(kind)} backing`
    : 'this wall has no studs to fix it to'
  const unknown: Finding[] = withoutStuds ? [{ ...stop('framing-unknown', noStud, survey), stage: 'survey' }] : []
  const used = mounts.filter(({ id }) => cells.some(({ mount = array.mount }) => mount === id))
  return [
    ...(array.fastener === undefined
      ? [
          stop(
            'fastener-not-chosen',
            words`No fastener is chosen for ${array.name}, so its edge distance is not known.`,
          ),
        ]
      : []),
    ...(array.needs === undefined
      ? []
      : used
          .filter(({ needs, otherNeeds = [] }) => ![needs, ...otherNeeds].some(use => sameUse(use, array.needs!)))
          .map(({ name }) =>
            stop(
              'slot-use-not-allowed',
              words`The data sheet of ${name} does not allow ${counted(array.needs!.members)} per row in
                ${array.needs!.rows.join(', ')} only.`,
              words`Use the mount’s own slot pattern, or enter this pattern in the catalogue from the maker’s data
                sheet.`,
            ),
          )),
    ...unknown,
    ...(array.carrier && !isFramed(wall)
      ? [
          stop(
            'carrier-without-members',
            words`${array.name} is planned on a ${array.carrier.kind}, but
              ${withoutStrip}.`,
            words`Fix the plates directly to the wall.`,
          ),
        ]
      : []),
  ]
}
