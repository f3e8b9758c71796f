/**
 * Millimetres in an inch, newtons in a pound-force, and lb/in² in a MPa: the standards' equations are in inches and
 * pounds.
 */
export const INCH = 25.4
export const POUND = 4.4482216
export const PSI = 145.0377377
