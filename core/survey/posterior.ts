import { DOUBLED, TWO_SIDED_95 } from './errorModel'
import { bearing, likelihoodRatio, pointsTo, type Sign } from './sign'

/**
 * Members expected for each mm of wall, at `size` places from `from` on in steps, before any sign there is looked at:
 * single ones, and doubled ones by their middle.
 */
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

const isWeak = ({ kind }: Sign) => kind === 'knock' || kind === 'box'

/**
 * A stretch of wall in even steps, on which the posterior of one member's centre is calculated, for a single and for a
 * doubled one.
 */
export class PosteriorGrid {
  private readonly from: number
  private readonly size: number
  /**
   * For each width, a row of running products for each sign: how much likelier all up to it make a place. The first row
   * is of no sign.
   */
  private readonly products: [Float64Array, Float64Array]
  /** log of what the products up to each sign were divided by, so that many signs stay within a double. */
  private readonly scales: number[] = [0]
  /** Share of members that are single and that are doubled, less what the signs against them leave of it. */
  private readonly open: [Float64Array, Float64Array]
  /** The same times how many members are expected. */
  private readonly expected: [Float64Array, Float64Array]

  /**
   * @param signs that speak for a member, in the order in which they will be taken together
   * @param against signs nearby that speak against one
   * @param step how finely places are distinguished, mm
   * @param errs how often a nail is wrong
   */
  constructor(
    signs: Sign[],
    against: Sign[],
    width: number,
    private readonly step: number,
    private readonly errs?: number,
  ) {
    const points = signs.map(sign => pointsTo(sign, width))
    const reach = signs.every(isWeak) ? FAR_REACH : width + REACH
    this.from = Math.min(...points) - reach
    this.size = Math.ceil((Math.max(...points) + reach - this.from) / step) + 1
    const rows = (count: number): [Float64Array, Float64Array] => [
      new Float64Array(count * this.size),
      new Float64Array(count * this.size),
    ]
    this.open = rows(1)
    this.expected = rows(1)
    this.products = rows(signs.length + 1)
    for (const w of [0, 1] as const) {
      this.open[w].fill(w === 1 ? DOUBLED : 1 - DOUBLED)
      for (const sign of against) this.multiply(this.open[w], 0, sign, width, w + 1)
      this.products[w].fill(1, 0, this.size)
    }
    signs.forEach((sign, n) => this.add(sign, n + 1, width))
  }

  /** Looks at the signs again where so many members are expected. */
  expecting(expected: Expectation): this {
    const priors = expected(this.from, this.step, this.size)
    for (const w of [0, 1] as const) {
      const [open, prior, product] = [this.open[w], priors[w], this.expected[w]]
      for (let n = 0; n < this.size; n++) product[n] = open[n]! * prior[n]!
    }
    return this
  }

  /** Running products with one more sign. */
  private add(sign: Sign, row: number, width: number): void {
    const from = row * this.size
    for (const w of [0, 1] as const) {
      this.products[w].copyWithin(from, from - this.size, from)
      this.multiply(this.products[w], from, sign, width, w + 1)
    }
    this.scales.push(this.scales[row - 1]! + (row % RESCALED === 0 ? this.rescale(from) : 0))
  }

  /**
   * Brings a row of products back to 1 at its greatest, since no few signs can make one too large for a double: log of
   * what it was divided by.
   */
  private rescale(from: number): number {
    const rows = this.products.map(of => of.subarray(from, from + this.size))
    const divisor = rows.reduce((most, row) => row.reduce((a, b) => Math.max(a, b), most), 1)
    for (const row of rows) row.forEach((value, n) => (row[n] = value / divisor))
    return Math.log(divisor)
  }

  /**
   * A density, which begins at an index of an array, times what one sign makes of it, which bears on a limited stretch
   * only.
   */
  private multiply(density: Float64Array, begin: number, sign: Sign, face: number, plies: number): void {
    const width = plies * face
    const [centre, reach, ratio] = [
      pointsTo(sign, width),
      bearing(sign, width, plies),
      likelihoodRatio(sign, width, this.errs, plies),
    ]
    const last = Math.min(this.size - 1, Math.ceil((centre + reach - this.from) / this.step))
    for (let n = Math.max(0, Math.floor((centre - reach - this.from) / this.step)); n <= last; n++)
      density[begin + n]! *= ratio(this.from + n * this.step)
  }

  /** Weight of a place for a member, single or doubled, that made the signs from `first` up to `end`. */
  private weight(n: number, first: number, end: number, w: 0 | 1): number {
    const made = this.products[w]
    return (this.expected[w][n]! * made[end * this.size + n]!) / made[first * this.size + n]!
  }

  /** What the signs from `first` up to `end` say together, without how sure of the place they are. */
  outline(first: number, end: number): Outline {
    let [single, double, moment] = [0, 0, 0]
    const [[expectedOne, expectedTwo], [madeOne, madeTwo], to, before] = [
      this.expected,
      this.products,
      end * this.size,
      first * this.size,
    ]
    for (let n = 0; n < this.size; n++) {
      const one = (expectedOne[n]! * madeOne[to + n]!) / madeOne[before + n]!
      const two = (expectedTwo[n]! * madeTwo[to + n]!) / madeTwo[before + n]!
      single += one
      double += two
      moment += (one + two) * n
    }
    const total = single + double
    return {
      centre: this.from + (moment / total) * this.step,
      doubled: double / total,
      logOdds: Math.log(total * this.step) + this.scales[end]! - this.scales[first]!,
    }
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
    // The interval is reported about the mean: as wide as its farther end is away.
    return {
      centre: this.from + centre * this.step,
      sd: (Math.max(high - centre, centre - low) * this.step) / TWO_SIDED_95,
    }
  }
}
