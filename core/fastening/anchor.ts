import { isOpenUnit, structureKindOf, unitsOf, type Fastener, type Structure } from '../job'
import { figure, quantity, words, type Figure, type Step } from '../units'
import type { Crowding } from './crowding'
import { INCH, POUND, PSI } from './units'

/** Thinnest base where its maker gives none, in embedments. */
const BASE = 1.5

/** What an anchor's maker allows in tension and in shear, less what edges and neighbours take, with the workings. */
export function makersValue(anchor: Fastener, which: 'tension' | 'shear', { factor, steps }: Crowding): Figure {
  const value = anchor.allowable![which]
  const label = which === 'tension' ? 'Tension' : 'Shear'
  const sheet: Step = {
    label,
    expression: words`maker’s allowable load${anchor.embedment === undefined
      ? words``
      : words` at
      ${anchor.embedment} embedment`}`,
    value,
    unit: 'N',
    source: 'maker’s data sheet',
  }
  return steps.length === 0
    ? figure([sheet])
    : figure([
        sheet,
        ...steps,
        {
          label: `${label}, reduced for edges and spacing`,
          expression: words`${quantity(value, 'N')} × ${factor.toFixed(3)}`,
          value: value * factor,
          unit: 'N',
        },
      ])
}

/**
 * Utilisation of an anchor: (T ÷ Ta)^p + (V ÷ Va)^p with p = 5/3 in concrete (ACI 318 17.8) and 1 in masonry
 * (TMS 402), and no less than either alone.
 */
export function anchorUse(
  tension: number,
  shear: number,
  allowable: { tension: number, shear: number },
  kind: Structure['kind'],
): number {
  const power = kind === 'concrete' ? 5 / 3 : 1
  const [t, v] = [tension / allowable.tension, shear / allowable.shear]
  return Math.max(t ** power + v ** power, t, v)
}

/** The same as it is shown. */
export const anchorRule = (kind: Structure['kind']) =>
  kind === 'concrete' ? '(T ÷ Ta)^5/3 + (V ÷ Va)^5/3, not less than either ratio alone' : 'T ÷ Ta + V ÷ Va'

/**
 * How thick the base of an anchor is, mm: of concrete, of solid or grouted block and of solid or frogged brick the
 * wall; of hollow block the face shell alone, of perforated brick what is solid behind its face. Undefined where that
 * is not known.
 */
export function baseThickness(structure: Structure): number | undefined {
  const { masonry, units: name } = structureKindOf(structure)
  if (!masonry) return undefined
  const units = unitsOf(structure)
  if (name && units?.unit === undefined) return undefined
  return units && isOpenUnit(units) ? units.shell : structure.thickness
}

/** The thinnest base that an anchor may be set in, mm: its maker's figure, else one and a half embedments. */
export const thinnestBase = ({ minThickness, embedment = 0 }: Pick<Fastener, 'minThickness' | 'embedment'>) =>
  minThickness ?? BASE * embedment

/**
 * Concrete breakout of one anchor in cracked concrete, as a cross-check of a maker's figure:
 * N_b = 17·√f′c·h_ef^1.5, lbf, psi, in (ACI 318 17.6.2.2).
 *
 * @example
 * breakout(27.58, 63.5).value // 18,905 N, 4250 lbf at 4000 psi and 2.5 in
 */
export function breakout(strength: number, embedment: number): Figure {
  const lbf = 17 * Math.sqrt(strength * PSI) * (embedment / INCH) ** 1.5
  return figure([
    {
      label: 'Concrete breakout',
      expression: words`17 × √(${(strength * PSI).toFixed(0)} psi) × (${(embedment / INCH).toFixed(2)} in)^1.5 lbf`,
      value: lbf * POUND,
      unit: 'N',
      source: 'ACI 318 17.6.2.2, strength level',
    },
  ])
}
