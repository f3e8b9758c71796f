import { DOUBLED, TWO_SIDED_95 } from './errorModel'
import { bearing, likelihoodRatio, pointsTo, type Sign } from './sign'

/** Members expected for each mm of wall, at `size` places from `from` on in steps, before any sign there is looked at: single ones, and doubled ones by their middle. */
export type Expectation = (from: number, step: number, size: number) => [single: Float64Array, double: Float64Array]

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

/** After so many signs a product is brought back to 1 at its greatest. */
const RESCALED = 16

function greatest(values: Float64Array): number {
  let most = 1
  for (const value of values) if (value > most) most = value
  return most
}

const isWeak = ({ kind }: Sign) => kind === 'knock' || kind === 'box'

/** A stretch of wall in even steps, on which the posterior of one member's centre is worked out, for a single and for a doubled one. */
export class PosteriorGrid {
  private readonly from: number
  private readonly size: number
  /** For each width, running products over the signs of how much likelier each makes a place. */
  private readonly products: [Float64Array[], Float64Array[]]
  /** log of what the products up to each sign were divided by, so that many signs stay within a double. */
  private readonly scales: number[] = [0]
  /** Share of members that are single and that are doubled, less what the signs against them leave of it. */
  private readonly open: [Float64Array, Float64Array]
  private expected: [Float64Array, Float64Array]

  /**
   * @param signs that speak for a member, in the order in which they will be taken together
   * @param against signs nearby that speak against one
   * @param step how finely places are told apart, mm
   * @param errs how often a nail is wrong
   */
  constructor(signs: Sign[], against: Sign[], width: number, private readonly step: number, private readonly errs?: number) {
    const points = signs.map(sign => pointsTo(sign, width))
    const reach = signs.every(isWeak) ? FAR_REACH : width + REACH
    this.from = Math.min(...points) - reach
    this.size = Math.ceil((Math.max(...points) + reach - this.from) / step) + 1
    this.open = [new Float64Array(this.size), new Float64Array(this.size)]
    this.products = [[new Float64Array(this.size).fill(1)], [new Float64Array(this.size).fill(1)]]
    this.expected = this.open
    for (const w of [0, 1] as const) {
      this.open[w].fill(w === 1 ? DOUBLED : 1 - DOUBLED)
      for (const sign of against) this.multiply(this.open[w], sign, width, w + 1)
    }
    for (const sign of signs) this.add(sign, width)
  }

  /** Looks at the signs again where so many members are expected. */
  expecting(expected: Expectation): this {
    const priors = expected(this.from, this.step, this.size)
    this.expected = [new Float64Array(this.size), new Float64Array(this.size)]
    for (const w of [0, 1] as const) for (let n = 0; n < this.size; n++) this.expected[w][n] = this.open[w][n]! * priors[w][n]!
    return this
  }

  /** Running products with one more sign. */
  private add(sign: Sign, width: number): void {
    const next = this.products.map(of => new Float64Array(of.at(-1)!)) as [Float64Array, Float64Array]
    this.multiply(next[0], sign, width, 1)
    this.multiply(next[1], sign, width, 2)
    // No few signs can make a product too large for a double.
    const divisor = this.scales.length % RESCALED === 0 ? Math.max(greatest(next[0]), greatest(next[1])) : 1
    if (divisor > 1) for (const each of next) for (let n = 0; n < this.size; n++) each[n]! /= divisor
    this.scales.push(this.scales.at(-1)! + Math.log(divisor))
    for (const w of [0, 1] as const) this.products[w].push(next[w])
  }

  /** A density times what one sign makes of it, which bears on a limited stretch only. */
  private multiply(density: Float64Array, sign: Sign, face: number, plies: number): void {
    const width = plies * face
    const [centre, reach] = [pointsTo(sign, width), bearing(sign, width, plies)]
    const last = Math.min(this.size - 1, Math.ceil((centre + reach - this.from) / this.step))
    for (let n = Math.max(0, Math.floor((centre - reach - this.from) / this.step)); n <= last; n++) {
      density[n]! *= likelihoodRatio(sign, this.from + n * this.step, width, this.errs, plies)
    }
  }

  /** Weight of a place for a member, single or doubled, that made the signs from `first` up to `end`. */
  private weight(n: number, first: number, end: number, w: 0 | 1): number {
    const made = this.products[w]
    return this.expected[w][n]! * made[end]![n]! / made[first]![n]!
  }

  /** What the signs from `first` up to `end` say together, without how sure of the place they are. */
  outline(first: number, end: number): Outline {
    let [single, double, moment] = [0, 0, 0]
    const [[expectedOne, expectedTwo], [madeOne, madeTwo]] = [this.expected, this.products]
    const [oneEnd, oneFirst, twoEnd, twoFirst] = [madeOne[end]!, madeOne[first]!, madeTwo[end]!, madeTwo[first]!]
    for (let n = 0; n < this.size; n++) {
      const one = expectedOne[n]! * oneEnd[n]! / oneFirst[n]!
      const two = expectedTwo[n]! * twoEnd[n]! / twoFirst[n]!
      single += one
      double += two
      moment += (one + two) * n
    }
    const total = single + double
    return { centre: this.from + moment / total * this.step, doubled: double / total, logOdds: Math.log(total * this.step) + this.scales[end]! - this.scales[first]! }
  }

  /**
   * The same with how sure of the place they are.
   *
   * @param width only the posterior of a single (0) or of a doubled member (1), once it is known which it is
   */
  belief(first: number, end: number, width?: 0 | 1): Belief {
    const weights = new Float64Array(this.size)
    let total = 0
    for (let n = 0; n < this.size; n++) {
      weights[n] = (width === 1 ? 0 : this.weight(n, first, end, 0)) + (width === 0 ? 0 : this.weight(n, first, end, 1))
      total += weights[n]!
    }
    const outline = this.outline(first, end)
    return { ...outline, ...this.summary(weights, total) }
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
    const centre = moment / total
    // The interval is told about the mean: as wide as its farther end is away.
    return { centre: this.from + centre * this.step, sd: Math.max(high - centre, centre - low) * this.step / TWO_SIDED_95 }
  }
}
