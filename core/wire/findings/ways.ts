import type { Finding } from '../../finding'
import { overlaps } from '../../geometry'
import { itemName, type Rules, type Wall } from '../../job'
import { words } from '../../units'
import { keptFrom } from '../boxes/obstacles'
import type { Screen } from '../screens'
import type { Wiring } from '../wiring'
import { about, aboutBox } from './about'

/** Boxes that no cable reaches; where what feeds one is in a wrong place, that is said of it. */
const noWayFindings = (wall: Wall, { noWay }: Wiring, called: (id: string) => string): Finding[] =>
  noWay.filter(({ start }) => !start).map(({ box, why }) => ({
    ...aboutBox(box),
    message: words`No cable route reaches box ${called(box)}: ${why}.`,
    ...wall.void === undefined
      ? {
          severity: 'caution',
          code: 'void-not-known',
          opens: { panel: 'routes', title: 'Enter voids' },
          remedy: words`Enter in Wire, under Routes, which voids are open.`,
        }
      : {
          severity: 'stop',
          code: 'no-way',
          remedy: words`Feed it from an outlet in its stud bay, run a surface raceway, or have a void opened.`,
        },
  }))

/** Signal in a bay that has power in it, where the house rule gives it a bay of its own. */
function mixedFindings({ routes, bays }: Wiring, called: (id: string) => string): Finding[] {
  const powered = new Set(routes.flatMap(({ kind, bays: through }) => kind === 'power' ? through : []))
  const mixed = routes.filter(({ kind, bays: through }) => kind === 'signal' && through.some(bay => powered.has(bay)))
  return mixed.map(({ to, bays: through }) => ({
    ...aboutBox(to),
    severity: 'stop',
    code: 'signal-with-power',
    message: words`Signal to box ${called(to)} runs through ${through.length === 1 ? 'a stud bay' : 'stud bays'} with
      power, starting ${bays[through.find(bay => powered.has(bay))!]!.from} from wall left; no other route avoids it.`,
    remedy: words`Bring it in from the other side, put the box in another stud bay, or choose the house rule that fixes
      them apart in one stud bay.`,
  }))
}

/** Openings where plates will be, or at a cable or pipe. */
function openingFindings(wall: Wall, { routes, works }: Wiring, screens: Pick<Screen, 'plate'>[]): Finding[] {
  const boxOf = (route: string) => routes.find(({ id }) => id === route)!.to
  const under = works.openings.filter(({ rect }) => screens.some(({ plate }) => plate && overlaps(plate.rect, rect)))
  const hazards = keptFrom(wall).filter(({ hazard }) => hazard)
  const struck = works.openings.flatMap(({ rect }) =>
    hazards.filter(hazard => overlaps(hazard, rect)).slice(0, 1).map(hazard => ({ rect, hazard })))
  return [
    ...under.map(({ rect, routes: of }): Finding => ({
      ...aboutBox(boxOf(of[0]!)),
      severity: 'caution',
      code: 'opening-under-plate',
      message: words`An opening at ${rect.x} from wall left and ${rect.y} above floor is behind a plate.`,
      remedy: words`Close it and let the filler set before fitting the plate, or choose another route.`,
    })),
    ...struck.map(({ rect, hazard }): Finding => ({
      ...about(wall),
      severity: 'stop',
      code: 'opening-at-hazard',
      message: words`An opening at ${rect.x} from wall left and ${rect.y} above floor is too close to ${hazard.name}.`,
      remedy: words`Locate it with a detector, and bring the cable in through another stud bay or from the other side.`,
    })),
  ]
}

/** Bores that no bit makes, and that take too much of a top or bottom plate. */
function boreFindings(wall: Wall, { works: { bores } }: Wiring): Finding[] {
  const { memberDepth = Infinity } = wall.structure
  const wide = bores.find(({ diameter }) => Number.isNaN(diameter))
  const weak = bores.filter(({ through, diameter }) => through === 'plate' && diameter > memberDepth / 2)
  return [
    ...wide
      ? [{
          ...about(wall),
          severity: 'stop' as const,
          code: 'hole-too-wide' as const,
          message: words`No bit is large enough for the cables at ${wide.x} from wall left.`,
          remedy: words`Bring the cables in at more than one place.`,
        }]
      : [],
    ...weak.map(({ x, diameter }): Finding => ({
      ...about(wall),
      severity: 'caution',
      code: 'plate-weakened',
      message: words`The ${diameter} hole at ${x} from wall left removes more than half of the top or bottom plate.`,
      remedy: words`Have a metal tie fixed across it (IRC R602.6.1), or bring the cables in at more than one place.`,
    })),
  ]
}

/** Ways that are not there, that lie with what they should not, and openings where plates will be. */
export function wayFindings(
  wall: Wall, wiring: Wiring, screens: Pick<Screen, 'plate'>[], { signalBesidePower = 'own-bay' }: Rules,
): Finding[] {
  const { boxes, routes } = wiring
  const called = (id: string) => itemName(boxes.find(box => box.id === id) ?? { id })
  return [
    ...noWayFindings(wall, wiring, called),
    ...signalBesidePower === 'own-bay' ? mixedFindings(wiring, called) : [],
    ...openingFindings(wall, wiring, screens),
    ...boreFindings(wall, wiring),
    ...(wall.fireRating ?? 0) > 0 && routes.some(({ way }) => way !== 'surface')
      ? [{
          ...about(wall),
          severity: 'stop' as const,
          code: 'rated-wall-opened' as const,
          message: words`The wall is fire-rated, and cables are planned inside it.`,
          remedy: words`Run them on the wall face, or have a licensed person fit the approved seal on both faces.`,
        }]
      : [],
  ]
}
