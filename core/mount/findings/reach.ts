import type { Finding } from '../../finding'
import { overlaps } from '../../geometry'
import type { Wall } from '../../job'
import type { Member } from '../../survey'
import { words } from '../../units'
import type { MountedCell } from '../position'
import { screenLabel } from '../../job/screenLabel'

const name = (at: MountedCell) => screenLabel(at)

/** A stop for every plate that covers what must stay reachable. */
export function coverPlateFindings({ features = [] }: Wall, cells: MountedCell[]): Finding[] {
  return features
    .filter(({ keepReachable }) => keepReachable)
    .flatMap(feature =>
      cells
        .filter(({ plate }) => overlaps(plate.rect, feature))
        .map((cell): Finding => ({
          severity: 'stop',
          code: 'plate-covers-feature',
          stage: 'mount',
          subject: { kind: 'screen', id: cell.id },
          message: words`The plate of ${name(cell)} covers the ${feature.kind.replace('-', ' ')} at ${feature.x},
            which must stay accessible.`,
          remedy: words`Move the array or the ${feature.kind.replace('-', ' ')}, or use a narrower mount.`,
        })),
    )
}

/** A caution for every outlet box behind a display that a member runs through: a box sits between members. */
export function boxFindings({ features = [] }: Wall, cells: MountedCell[], members: Member[]): Finding[] {
  const boxes = features.filter(
    feature => feature.kind === 'outlet' && cells.some(({ outer }) => overlaps(outer, feature)),
  )
  return boxes.flatMap(box => members.flatMap((member, index): Finding[] => {
    const [left, right] = [member.centre - member.width / 2, member.centre + member.width / 2]
    const over = Math.min(right, box.x + box.width) - Math.max(left, box.x)
    if (over <= 0) return []
    return [
      {
        severity: 'caution',
        code: 'box-on-member',
        stage: 'mount',
        subject: { kind: 'feature', id: box.id },
        message: words`The outlet at ${box.x} overlaps stud ${String(index + 1)} by ${over}: a box must sit between
          studs.`,
        remedy: words`Move it clear of the stud: left edge at ${right} or more, or right edge at ${left} or less.`,
      },
    ]
  }))
}
