import type { Method } from './ways'

/** What a leg of a route is called. */
export const LEG_NAMES: Record<Method, string> = {
  'drops': 'Drop',
  'weighted line': 'Weighted line',
  'rod': 'Fish rod up',
  'opening at blocking': 'Open at blocking',
  'bored plate': 'Bore plate',
  'across a stud': 'Across studs',
  'void': 'Along the void',
  'raceway': 'Raceway',
  'on the face': 'On the wall face',
  'through the wall': 'Through the wall',
}
