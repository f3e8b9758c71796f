import type { Issue, PaperName, Sheet } from '../../sheet'
import type { Precision, UnitSystem } from '../../units'

/** How a sheet is drawn. */
export interface SheetOptions {
  paper: PaperName
  units: UnitSystem
  precision: Precision
  /** What it is of; a draft where that is absent, and says so across every page. */
  issue?: Issue
  /** Reduction 1:n of the drawing, over as many pages as it needs; absent: the least at which it fits the first. */
  scale?: number
  /** Where the wall is found, for the code on the first page. */
  address?: string
}

/** A mark-out sheet, with the scale of its drawing, 1:n. */
export interface MarkSheet extends Sheet { scale: number }
