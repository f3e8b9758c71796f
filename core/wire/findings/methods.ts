import type { Finding } from '../../finding'
import { itemName, type PlanContext, type Wall } from '../../job'
import { words } from '../../units'
import { methodOf } from '../routes/powerMethods'
import type { RoutePlan } from '../routes/routes'
import type { Leg } from '../routes/ways'
import { placeOf } from '../sources'
import type { Wiring } from '../wiring'
import { about, aboutBox } from './about'

/** Cables run straight up, down and sideways from these (BS 7671 522.6.202). */
const ACCESSORIES = new Set(['outlet', 'switch', 'box'])
/** Half as wide as such a line is taken to be, and how far along ceiling and corners, mm. */
const [LINE, BAND] = [50, 150]

interface Accessory { x: number, y: number, width: number, height: number }

/** Where on a wall a person expects cables: in line with what is on it and what is planned. */
function accessoriesOf(wall: Wall, { boxes }: Wiring): Accessory[] {
  const { features = [], sources = [] } = wall
  const begun = sources.flatMap((source) => {
    const at = placeOf(source, wall)
    return at ? [{ ...at, width: 0, height: 0 }] : []
  })
  const there = features.filter(({ kind }) => ACCESSORIES.has(kind)).map(({ x, y, width, height }) =>
    ({ x: x + width / 2, y: y + height / 2, width, height }))
  return [...there, ...begun, ...boxes.filter(({ held }) => held).map(({ x, y, cutout: { width, height } }) =>
    ({ x, y, width, height }))]
}

const INSIDE = new Set<Leg['method']>(['drops', 'weighted line', 'rod', 'opening at blocking', 'across a stud'])

/** Whether a leg in the wall is where a person expects a cable. */
function isExpected({ from, to, method }: Leg, wall: Wall, accessories: Accessory[]): boolean {
  if (!INSIDE.has(method)) return true
  const isLevel = Math.abs(from.y - to.y) < 1e-6
  if (isLevel) {
    return from.y > wall.height - BAND
      || accessories.some(({ y, height }) => Math.abs(y - from.y) <= Math.max(LINE, height / 2))
  }
  return to.x < BAND || to.x > wall.width - BAND
    || accessories.some(({ x, width }) => Math.abs(x - to.x) <= Math.max(LINE, width / 2))
}

function zoneFindings(wall: Wall, wiring: Wiring, routes: RoutePlan[], called: (id: string) => string): Finding[] {
  const accessories = accessoriesOf(wall, wiring)
  return routes.flatMap(({ to, legs }): Finding[] => {
    const off = legs.find(leg => !isExpected(leg, wall, accessories))
    if (!off) return []
    const isLevel = Math.abs(off.from.y - off.to.y) < 1e-6
    const runs = isLevel ? words`level at ${off.from.y} above floor` : words`upright at ${off.to.x} from wall left`
    return [{
      ...aboutBox(to),
      severity: 'caution',
      code: 'route-outside-zones',
      message: words`The power route to box ${called(to)} runs ${runs}, in line with no outlet, switch
        or box (BS 7671 522.6.202).`,
      remedy: words`Enter the cable straight above or below a box, use metal-clad cable or conduit, or have it at least
        50 deep; draw it on the as-built record.`,
    }]
  })
}

/** What is doubtful in how power cable is run: construction in steel studs, installation zones, bends of a conduit. */
export function methodFindings(wall: Wall, wiring: Wiring, { rules, site }: PlanContext): Finding[] {
  const { boxes, routes } = wiring
  const called = (id: string) => itemName(boxes.find(box => box.id === id) ?? { id })
  const power = routes.filter(({ kind, way }) => kind === 'power' && way !== 'surface')
  const { construction, bends } = methodOf('power', rules)
  const inSheath = construction === 'sheathed'
  return [
    ...wall.structure.kind === 'steel-stud' && power.length > 0 && rules.powerWiring === undefined
      ? [{
          ...about(wall),
          severity: 'caution' as const,
          code: 'steel-stud-wiring' as const,
          message: words`Sheathed cable is planned in steel studs. Local code may require metal-clad cable or conduit
            there; where it does not, each hole needs a grommet (NEC 300.4(B)).`,
          remedy: words`Check local code, and choose the house rule “Power cable in or on a wall”.`,
        }]
      : [],
    ...inSheath && site?.electricalRules !== 'nec' ? zoneFindings(wall, wiring, power, called) : [],
    ...routes.filter(({ pullBoxes }) => pullBoxes > 0).map((route): Finding => ({
      ...aboutBox(route.to),
      severity: 'caution',
      code: 'conduit-bends',
      message: words`The conduit to box ${called(route.to)} has ${String(route.bends)} quarter bends, and one pull
        allows ${String(bends ?? 0)} (NEC 348.26).`,
      remedy: words`Fit ${String(route.pullBoxes)} pull ${route.pullBoxes === 1 ? 'box' : 'boxes'} that stay accessible,
        or choose a straighter route.`,
    })),
  ]
}
