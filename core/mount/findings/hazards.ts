import type { CodeOf, Finding } from '../../finding'
import { distanceTo, type Wall } from '../../job'
import { words } from '../../units'
import { holeName, type MountedCell } from '../position'

/** Least distance from a hole to what must not be drilled, mm. */
export const HAZARD_CLEARANCE = 50

/** Kinds of feature that a drill must keep away from, and what each one is called. */
export const HAZARDS: Record<string, { name: string, code: CodeOf<'stop'> }> = {
  'live-cable': { name: 'a live cable', code: 'hole-near-live-cable' },
  'pipe': { name: 'a pipe', code: 'hole-near-pipe' },
  'rated-junction': { name: 'a fire-rated junction', code: 'hole-near-rated-junction' },
}

/** A stop for every hole within 50 mm of a live cable, a pipe or a fire-rated junction. */
export function hazardFindings({ features = [] }: Wall, cells: MountedCell[]): Finding[] {
  const hazards = features.filter(({ kind }) => HAZARDS[kind])
  return hazards.flatMap(feature => cells.flatMap(cell => cell.holes.flatMap((hole): Finding[] => {
    const away = distanceTo(feature, hole)
    if (away >= HAZARD_CLEARANCE) return []
    return [
      {
        severity: 'stop',
        code: HAZARDS[feature.kind]!.code,
        stage: 'mount',
        subject: { kind: 'hole', id: hole.id },
        message: words`${holeName(cell, hole)} at ${hole.x} is
          ${away === 0 ? words`on` : words`${away} from`} ${HAZARDS[feature.kind]!.name}; the minimum is
            ${HAZARD_CLEARANCE}.`,
        remedy:
          feature.kind === 'rated-junction'
            ? words`Move the plate. Open a fire-rated junction only with its approved seal.`
            : words`Move the plate, or have a licensed person isolate or reroute the service.`,
      },
    ]
  })))
}
