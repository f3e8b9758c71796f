/** One line of the table: what was measured, what came out, and what is aimed at. */
export interface Row {
  what: string
  value: number
  unit: string
  aim: string
  met: boolean | undefined
  /** What a figure should be at most. */
  limit?: number
}

/** A measured figure against the most it should be. */
export function atMost(what: string, value: number, limit: number, unit: string): Row {
  return { what, value, unit, limit, aim: `≤ ${limit} ${unit}`, met: value <= limit }
}

/** A measured figure against the least it should be. */
export function atLeast(what: string, value: number, limit: number, unit: string): Row {
  return { what, value, unit, aim: `≥ ${limit} ${unit}`, met: value >= limit }
}

/** A figure that has no aim of its own. */
export function measured(what: string, value: number, unit: string): Row {
  return { what, value, unit, aim: '', met: undefined }
}
