import { apart, arraysOf, type Alternative, type Wall } from '../job'
import { copyOf, fresh } from './fresh'

const letter = (n: number) => String.fromCharCode(65 + n)

/** The next alternative of a wall: a letter that none has yet, under an id that no other device makes. */
function nextAlternative(known: Alternative[]): Alternative {
  let n = known.length
  while (known.some(({ name }) => name === letter(n))) n++
  return { id: `${letter(n).toLowerCase()}-${apart()}`, name: letter(n) }
}

/**
 * Adds an alternative that begins as a copy of the one that is shown, and shows it; the first time what there is
 * becomes an alternative, too.
 */
export function addAlternative(wall: Wall): void {
  if (!wall.alternatives?.length) {
    const first = nextAlternative([])
    wall.alternatives = [first]
    for (const array of wall.arrays) array.alternative = first.id
    wall.alternative = first.id
  }
  const added = nextAlternative(wall.alternatives)
  const copied = arraysOf(wall).filter(({ alternative }) => alternative !== undefined)
  wall.alternatives = [...wall.alternatives, added]
  wall.alternative = added.id
  // Holes that were placed manually are places on the wall, and stay with the array that they were put for.
  for (const { holes: _, ...array } of copied.map(copyOf))
    wall.arrays.push({ ...array, id: fresh(wall, array.name).id, alternative: added.id })
}

/** Shows another alternative: from then on it is the one that is planned. */
export function showAlternative(wall: Wall, id: string): void {
  if (wall.alternatives?.some(alternative => alternative.id === id)) wall.alternative = id
}

/**
 * Takes an alternative away with its arrays; the one that is shown stays, as the wall's only arrangement when it is the
 * last.
 */
export function removeAlternative(wall: Wall, id: string): void {
  if (id === wall.alternative) return
  const rest = (wall.alternatives ?? []).filter(each => each.id !== id)
  wall.arrays = wall.arrays.filter(({ alternative }) => alternative !== id)
  if (wall.chosen === id) delete wall.chosen
  wall.alternatives = rest
  if (rest.length > 1) return
  for (const array of wall.arrays) delete array.alternative
  delete wall.alternatives
  delete wall.alternative
  delete wall.chosen
}

/** The wall as it would be with one of its alternatives. */
export const wallWith = (wall: Wall, { id }: Alternative): Wall =>
  id === wall.alternative ? wall : { ...wall, alternative: id }
