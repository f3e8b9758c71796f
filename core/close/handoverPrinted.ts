import type { Position } from '../mount'
import type { Paper } from '../sheet'
import type { Text, UnitSystem } from '../units'
import type { HandedOver, Handover } from './handedOver'

/** A handover while it is printed: what it is made of, its screens by name, and how figures are written. */
export interface Printed {
  of: HandedOver
  handover: Handover
  paper: Paper
  units: UnitSystem
  address?: string
  screens: (Position & { array: string, label: string })[]
  labels: Map<string, string>
  show: (mm: number) => string
  fine: (mm: number) => string
  tell: (text: Text) => string
  day: (at: string) => string
}

/** How a severity is printed. */
export const SEVERITY = { stop: 'STOP', caution: 'Caution', note: 'Note' }
