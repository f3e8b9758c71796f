import type { Finding } from '../finding'
import type { PlanContext, Rules } from '../job'
import { passes, type ArrayPlan, type TightLift } from '../mount'
import { words, type Text } from '../units'
import { liftingOf, type Lifting } from './lifting'
import { screenLabel } from '../job/screenLabel'

/** One screen to hang: who lifts it, and whether its mount is pulled out to pass under the row above. */
export interface ScreenStep {
  screen: string
  model: string
  row: number
  column: number
  label: string
  lifting: Lifting
  pulledOut: boolean
}

/** The order in which the screens of an array are hung, and why it is that one. */
export interface HangingOrder { array: string, name: string, first: 'top' | 'bottom', why: Text, steps: ScreenStep[] }

const ROW: Record<HangingOrder['first'], string> = { top: 'Top row first', bottom: 'Bottom row first' }

/** The row that comes first by the house rule and by what the mounts allow, and why. */
function firstRow(
  lifts: TightLift[],
  rows: number,
  { hangingOrder = 'by-clearance' }: Rules,
): Pick<HangingOrder, 'first' | 'why'> {
  const under = lifts.filter(({ upper }) => upper)
  const stuck = under.find(lift => !passes(lift))
  if (hangingOrder !== 'by-clearance') {
    const first = hangingOrder === 'top-first' ? 'top' : 'bottom'
    return { first, why: words`${ROW[first]}, by the house rule.` }
  }
  if (rows < 2) return { first: 'top', why: words`One row, from left to right.` }
  if (stuck)
    return {
      first: 'bottom',
      why: words`Bottom row first: under a hung row it cannot be lifted the ${stuck.lift} needed to hook on, with
        only ${stuck.free} free above it.`,
    }
  return {
    first: 'top',
    why:
      under.length > 0
        ? words`Top row first, with the lower mounts pulled out to pass; bottom row first also works.`
        : words`Top row first; bottom row first also works.`,
  }
}

/**
 * The order in which the screens of each array are hung: row after row, each from the left.
 *
 * @param lifts the screens of each array that cannot simply be lifted on to their hooks
 */
export function hangingOrders(
  arrays: ArrayPlan[],
  lifts: TightLift[][],
  { catalogue: { displays }, rules }: PlanContext,
): HangingOrder[] {
  return arrays.map(({ id, name, positions }, n): HangingOrder => {
    const tight = lifts[n] ?? []
    const rows = new Set(positions.map(({ row }) => row)).size
    const { first, why } = firstRow(tight, rows, rules)
    const passing = new Set(first === 'top' ? tight.filter(({ upper }) => upper).map(({ cell }) => cell.id) : [])
    const steps = positions.flatMap(({ id: screen, model, row, column, outer }): ScreenStep[] => {
      const display = displays.find(({ id }) => id === model)
      return display
        ? [
            {
              screen,
              model,
              row,
              column,
              label: screenLabel({ row, column }),
              lifting: liftingOf(display, outer, rules),
              pulledOut: passing.has(screen),
            },
          ]
        : []
    })
    const down = first === 'top' ? 1 : -1
    return { array: id, name, first, why, steps: steps.sort((a, b) => down * (a.row - b.row) || a.column - b.column) }
  })
}

/**
 * Findings about hanging: an order that the mounts do not allow, displays that people cannot lift, and ones that may
 * not lie on their face.
 */
export function orderFindings(
  orders: HangingOrder[],
  lifts: TightLift[][],
  { catalogue: { displays }, rules }: PlanContext,
): Finding[] {
  return orders.flatMap(({ array, name, first, steps }, n): Finding[] => {
    const about = { stage: 'hang', subject: { kind: 'array', id: array } } as const
    const stuck = (lifts[n] ?? []).find(lift => lift.upper && !passes(lift))
    const heavy = steps.filter(({ lifting }) => lifting.aid)
    const upright
      = rules.handling === 'face-down'
        ? displays.filter(({ id, handling }) => handling !== 'face-down' && steps.some(({ model }) => model === id))
        : []
    return [
      ...(first === 'top' && stuck
        ? [
            {
              ...about,
              severity: 'stop' as const,
              code: 'hanging-order-blocked' as const,
              message: words`${name} is set to hang from the top row down, but
                R${String(stuck.cell.row)} C${String(stuck.cell.column)} cannot be lifted the required
                ${stuck.lift} under the row above: ${stuck.free} is free, and its mount pulls out ${stuck.out} where
                ${stuck.needed} is required to pass.`,
              remedy: words`Hang the bottom row first, or use a mount that pulls out farther.`,
            },
          ]
        : []),
      ...(heavy.length > 0
        ? [
            {
              ...about,
              severity: 'caution' as const,
              code: 'lift-aid-needed' as const,
              message: words`${heavy.map(({ label }) => label).join(', ')} of ${name}: ${heavy[0]!.lifting.why}`,
              remedy: words`Bring a lifting aid rated for that mass and height.`,
            },
          ]
        : []),
      ...upright.map(({ name }): Finding => ({
        ...about,
        severity: 'note',
        code: 'kept-upright' as const,
        message: words`The catalogue does not say that ${name} may be laid face down: keep it upright.`,
        remedy: words`If its maker allows it, enter face-down handling in the catalogue.`,
      })),
    ]
  })
}
