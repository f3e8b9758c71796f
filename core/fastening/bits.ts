import { MM_PER_INCH, type UnitSystem } from '../units'

/** Steps in which bits are sold, mm: half millimetres, or 64ths of an inch. */
const STEP: Record<UnitSystem, number> = { metric: 0.5, imperial: MM_PER_INCH / 64 }
/** Steps to which a depth is set on a bit, mm: whole millimetres, or 16ths of an inch. */
const DEPTH_STEP: Record<UnitSystem, number> = { metric: 1, imperial: MM_PER_INCH / 16 }

const down = (mm: number, step: number) => Math.floor(mm / step + 1e-9) * step
const up = (mm: number, step: number) => Math.ceil(mm / step - 1e-9) * step

/** The largest bit that is sold up to a diameter, and the smallest from one on, mm. */
export const bitUpTo = (mm: number, units: UnitSystem) => down(mm, STEP[units])
export const bitFrom = (mm: number, units: UnitSystem) => up(mm, STEP[units])
/** A depth as it is set on the bit, mm: no less than asked for, or no more. */
export const depthFrom = (mm: number, units: UnitSystem) => up(mm, DEPTH_STEP[units])
export const depthUpTo = (mm: number, units: UnitSystem) => down(mm, DEPTH_STEP[units])
