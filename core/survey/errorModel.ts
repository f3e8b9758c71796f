import type { Evidence } from '../job'

/** How far readings are out, one σ in mm, and how often one has no member behind it at all. */
export const ERROR_MODEL = {
  detectorEdge: 3,
  detectorCentre: 6,
  seen: 1.5,
  knock: 25,
  outlet: 30,
  /** A probe or pilot hole meets or misses a face; its own place is known to ± 1 mm, two σ. */
  hole: 0.5,
  /** A screw's head lies anywhere on the member's face but its outer strip, mm at either edge. */
  screwStrip: 6,
  /** What all readings of one instrument share on a wall, and what those of one edge swept again share. */
  instrument: 2,
  sweep: 2,
  /**
   * How much farther out than their nominal widths put it an edge of two plies may lie: thicker ones, and the gap
   * between them.
   */
  ply: 3,
  /** How well the spacing of a run is kept over its length, as a share of it. */
  spacing: 0.006,
} as const

/**
 * Now and then an instrument, or a reference, is out by far more than it should be: how often, and by how much, one σ,
 * mm.
 */
export const GROSS = { share: 0.1, sigma: 8 } as const
/**
 * How often a nail misses what is there, or meets what is none; where nails contradict each other, how often one of
 * them is wrong; and how often a bit that was drilled to its depth met nothing where something is.
 */
export const NAIL_ERRS = { usual: 0.001, contradicted: 0.1, drilled: 1e-12 } as const

/** Readings that no member made, expected for each millimetre of wall: pipes, blocking, patches of filler. */
export const FALSE_PER_MM: Record<Evidence['method'], number> = {
  'detector-edge': 1.5e-4,
  'detector-centre': 1.5e-4,
  'magnet': 1.5e-4,
  'knock': 1e-3,
  'outlet': 1e-3,
  'seen': 1e-6,
  'probe': 1e-5,
  'pilot': 1e-5,
  'joint': 1,
}

/** Members outside any regular run, for each millimetre: added at openings and for older fittings. */
export const ADDED_PER_MM = 1.5e-5
/** Members for each millimetre where no regular run is known yet. */
export const UNRULED_PER_MM = 4e-4
/** How many of a run's places hold a member. */
export const RUN_FILLED = 0.9
/** How many members are doubled. */
export const DOUBLED = 0.08
/** Over this share of the nominal width a member is a doubled one. */
export const DOUBLE_WIDTH = 1.6

/** Face width of the common member where the wall names none, mm: 38 mm sawn stud, 41 mm steel flange. */
export const USUAL_WIDTH = { 'wood-stud': 38, 'steel-stud': 41 } as const

/** Two-sided 95 % point of the normal distribution. */
export const TWO_SIDED_95 = 1.96
