import { DOUBLED, TWO_SIDED_95 } from './errorModel'
import { bearing, likelier, pointsTo, type Sign } from './sign'
import { CARRIED_SIGMA } from './transfer'

/** Members expected for each mm of wall, at `size` places from `from` on in steps, before any sign there is looked at. */
export type Expectation = (from: number, step: number, size: number) => Float64Array

/** What some signs say of one member. */
export interface Outline {
  centre: number
  /** How likely it is a doubled one. */
  doubled: number
  /** log of how many times likelier the signs are with this member than without any. */
  logOdds: number
}

/** The same, and how sure of the place they are: centre ± 1.96·sd holds 95 % of what is believed. */
export interface Belief extends Outline { sd: number }

/** A member farther from where its signs point than its width and this is out of the question, mm. */
const REACH = 14
/** The same where all that speaks for it is a knock or a box. */
const FAR_REACH = 100

/** A stretch of wall in even steps, on which what is believed of one member's centre is worked out. */
export class Bench {
  private readonly from: number
  private readonly size: number
  /** For each width, running sums over the signs of the log of how much likelier each makes a place. */
  private readonly sums: [Float64Array[], Float64Array[]]
  /** Share of members that are single and that are doubled, less what the signs against them leave of it. */
  private readonly open: [Float64Array, Float64Array]
  private expected: [Float64Array, Float64Array]

  /**
   * @param signs that speak for a member, in the order in which they will be taken together
   * @param against signs nearby that speak against one
   * @param step how finely places are told apart, mm
   */
  constructor(signs: Sign[], against: Sign[], width: number, private readonly step: number) {
    const points = signs.map(sign => pointsTo(sign, width))
    const reach = signs.every(({ kind }) => kind === 'knock' || kind === 'box') ? FAR_REACH : width + REACH
    this.from = Math.min(...points) - reach
    this.size = Math.ceil((Math.max(...points) + reach - this.from) / step) + 1
    this.open = [new Float64Array(this.size), new Float64Array(this.size)]
    this.sums = [[new Float64Array(this.size)], [new Float64Array(this.size)]]
    this.expected = this.open
    for (const w of [0, 1] as const) {
      const wide = w === 1 ? 2 * width : width
      const doubts = against.reduce((sum, sign) => this.added(sum, sign, wide), new Float64Array(this.size))
      const share = w === 1 ? DOUBLED : 1 - DOUBLED
      for (let n = 0; n < this.size; n++) this.open[w][n] = share * (doubts[n] === 0 ? 1 : Math.exp(doubts[n]!))
      for (const sign of signs) this.sums[w].push(this.added(this.sums[w].at(-1)!, sign, wide))
    }
  }

  /** Looks at the signs again where so many members are expected. */
  expecting(expected: Expectation): this {
    const hoped = expected(this.from, this.step, this.size)
    this.expected = [this.open[0].map((share, n) => share * hoped[n]!), this.open[1].map((share, n) => share * hoped[n]!)]
    return this
  }

  /** Running sums with one more sign, which bears on a limited stretch only. */
  private added(before: Float64Array, sign: Sign, width: number): Float64Array<ArrayBuffer> {
    const after = new Float64Array(before)
    const [centre, reach] = [pointsTo(sign, width), bearing(sign, width)]
    const last = Math.min(this.size - 1, Math.ceil((centre + reach - this.from) / this.step))
    for (let n = Math.max(0, Math.floor((centre - reach - this.from) / this.step)); n <= last; n++) {
      after[n]! += Math.log(likelier(sign, this.from + n * this.step, width))
    }
    return after
  }

  /** Weight of a place for a member, single or doubled, that made the signs from `first` up to `end`. */
  private weight(n: number, first: number, end: number, w: 0 | 1): number {
    const log = this.sums[w][end]![n]! - this.sums[w][first]![n]!
    return log === 0 ? this.expected[w][n]! : this.expected[w][n]! * Math.exp(log)
  }

  /** What the signs from `first` up to `end` say together, without how sure of the place they are. */
  outline(first: number, end: number): Outline {
    let [single, double, moment] = [0, 0, 0]
    for (let n = 0; n < this.size; n++) {
      const [one, two] = [this.weight(n, first, end, 0), this.weight(n, first, end, 1)]
      single += one
      double += two
      moment += (one + two) * n
    }
    const total = single + double
    return { centre: this.from + moment / total * this.step, doubled: double / total, logOdds: Math.log(total * this.step) }
  }

  /** The same with how sure of the place they are; `spread` is an error that they share, one σ, mm. */
  belief(first: number, end: number, spread = 0): Belief {
    const weights = new Float64Array(this.size)
    for (let n = 0; n < this.size; n++) weights[n] = this.weight(n, first, end, 0) + this.weight(n, first, end, 1)
    const outline = this.outline(first, end)
    const total = Math.exp(outline.logOdds) / this.step
    return { ...outline, ...this.summary(spread > 0 ? blurred(weights, spread / this.step) : weights, total) }
  }

  /** Mean and 95 % interval of weights on the steps. */
  private summary(weights: Float64Array, total: number): { centre: number, sd: number } {
    let [moment, sum, low, high] = [0, 0, 0, weights.length]
    for (let n = 0; n < weights.length; n++) {
      const weight = weights[n]!
      moment += weight * n
      if (sum < 0.025 * total && sum + weight >= 0.025 * total) low = n - 0.5 + (0.025 * total - sum) / weight
      if (sum < 0.975 * total && sum + weight >= 0.975 * total) high = n - 0.5 + (0.975 * total - sum) / weight
      sum += weight
    }
    return { centre: this.from + moment / total * this.step, sd: (high - low) * this.step / (2 * TWO_SIDED_95) }
  }
}

/** Weights blurred by an error that all their signs share, σ in steps. */
function blurred(weights: Float64Array, sigma: number): Float64Array {
  const reach = Math.ceil(3 * sigma)
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, n) => Math.exp(-0.5 * ((n - reach) / sigma) ** 2))
  const norm = kernel.reduce((a, b) => a + b)
  return weights.map((_, n) => {
    let sum = 0
    for (let k = -reach; k <= reach; k++) sum += (weights[n + k] ?? 0) * kernel[k + reach]!
    return sum / norm
  })
}

/** How much of some signs’ shared error a group bears: all of it, where every one was carried over. */
export function sharedSpread(signs: Sign[]): number {
  const carried = signs.filter(({ carriedBy }) => carriedBy !== undefined)
  return carried.length === signs.length && signs.length > 0 ? CARRIED_SIGMA : 0
}
