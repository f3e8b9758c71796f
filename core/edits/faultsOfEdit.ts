import type { Catalogue, Fault, Wall } from '../job'
import { wallFaults } from '../job/validate'
import { infeasibleInputs } from '../plan/infeasible'

/** What cannot be in a wall; calculated once for each wall and catalogue, as the next edit asks it again. */
const infeasible = new WeakMap<Wall, { catalogue: Catalogue, faults: Fault[] }>()

function infeasibleIn(wall: Wall, catalogue: Catalogue): Fault[] {
  const known = infeasible.get(wall)
  if (known?.catalogue === catalogue) return known.faults
  const faults = infeasibleInputs(wall, catalogue)
  infeasible.set(wall, { catalogue, faults })
  return faults
}

const textOf = ({ path, message }: Fault) => `${path} ${message}`

/**
 * Faults of a wall that is to take the place of `before`: an edit may leave what cannot be (it came with a file, or
 * from an earlier version), but not bring it in.
 *
 * @param before the wall that was edited; absent: the wall is a new one
 * @example faultsOfEdit({ ...wall, width: -1 }, wall, catalogue) // [{ path: '$.width', message: 'must be …' }]
 */
export function faultsOfEdit(after: unknown, before: Wall | undefined, catalogue: Catalogue): Fault[] {
  const faults = wallFaults(after, catalogue, '$', before)
  if (faults.length > 0) return faults
  const known = new Set((before ? infeasibleIn(before, catalogue) : []).map(textOf))
  return infeasibleIn(after as Wall, catalogue).filter(fault => !known.has(textOf(fault)))
}
