import type { Finding } from '../finding'
import type { Feature, Placing, ScreenArray, Wall } from '../job'
import { words } from '../units'

const featureOf = (wall: Wall, id: string | undefined): Feature | undefined =>
  wall.features?.find(feature => feature.id === id)

/** Two features between which an array is centred, the left or lower one first. */
function pairOf(wall: Wall, ids: string[] = [], axis: 'x' | 'y' = 'x'): [Feature, Feature] | undefined {
  const [a, b] = ids.map(id => featureOf(wall, id))
  if (!a || !b) return undefined
  return a[axis] <= b[axis] ? [a, b] : [b, a]
}

function across({ at, follows }: ScreenArray, wall: Wall): Placing['x'] {
  if (follows?.x?.rule === 'wall-centre') return { edge: 'centre', value: wall.width / 2 }
  const pair = follows?.x?.rule === 'between' ? pairOf(wall, follows.x.features) : undefined
  return pair ? { edge: 'centre', value: (pair[0].x + pair[0].width + pair[1].x) / 2 } : at.x
}

function up({ at, follows }: ScreenArray, wall: Wall): Placing['y'] {
  const rule = follows?.y
  if (!rule) return at.y
  if (rule.rule === 'eye') return { edge: 'centre', value: rule.value }
  if (rule.rule === 'between') {
    const pair = pairOf(wall, rule.features, 'y')
    return pair ? { edge: 'centre', value: (pair[0].y + pair[0].height + pair[1].y) / 2 + rule.value } : at.y
  }
  const feature = featureOf(wall, rule.feature)
  if (!feature) return at.y
  return rule.rule === 'above'
    ? { edge: 'bottom', value: feature.y + feature.height + rule.value }
    : { edge: 'top', value: feature.y - rule.value }
}

/**
 * Where an array is placed: by the rule that it follows, calculated afresh whenever the wall or a
 * feature changes, or else where it was put.
 *
 * @example
 * // a counter 1050 high, 100 clear above it
 * placeOf(array, wall).y // { edge: 'bottom', value: 1150 }
 */
export function placeOf(array: ScreenArray, wall: Wall): Placing {
  return { x: across(array, wall), y: up(array, wall) }
}

/** A caution for every rule whose feature is no longer on the wall: the array stays where it was last put. */
export function followFindings(array: ScreenArray, wall: Wall): Finding[] {
  const { x, y } = array.follows ?? {}
  const lost = [
    ...(x?.rule === 'between' && !pairOf(wall, x.features) ? ['it was centred between'] : []),
    ...(y?.rule === 'between' && !pairOf(wall, y.features) ? ['it was centred between vertically'] : []),
    ...(y && (y.rule === 'above' || y.rule === 'below') && !featureOf(wall, y.feature)
      ? [y.rule === 'above' ? 'it was placed above' : 'it was placed below']
      : []),
  ]
  return lost.map(what => ({
    severity: 'caution',
    code: 'placing-lost',
    stage: 'arrange',
    subject: { kind: 'array', id: array.id },
    message: words`${array.name} is linked to a feature that is no longer on the wall: the one ${what}. It stays at
      its last position.`,
    remedy: words`Link it to another feature, or enter its position.`,
  }))
}
