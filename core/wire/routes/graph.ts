/** A step from one place to another: what it takes, min, how long it is, m, and whether timber is bored for it. */
interface Step { minutes: number, metres?: number, bored?: boolean }

/**
 * Steps by the place where they begin: those of place p are `first[p]` to `first[p + 1]`. Flat, as every route of a
 * wall is looked for in it.
 */
export interface Graph {
  first: Int32Array
  to: Int32Array
  minutes: Float64Array
  metres: Float64Array
  bored: Uint8Array
}

/** Steps as they are found, of places that come in their order. */
export class Edges {
  private readonly first: Int32Array
  private readonly to: number[] = []
  private readonly steps: Step[] = []

  constructor(private readonly places: number) {
    this.first = new Int32Array(places + 1)
  }

  readonly add = (from: number, to: number, step: Step): void => {
    this.to.push(to)
    this.steps.push(step)
    this.first[from + 1] = this.to.length
  }

  graph(): Graph {
    const { first, steps } = this
    for (let place = 1; place <= this.places; place++) first[place] = Math.max(first[place]!, first[place - 1]!)
    return {
      first,
      to: Int32Array.from(this.to),
      minutes: Float64Array.from(steps, ({ minutes }) => minutes),
      metres: Float64Array.from(steps, ({ metres = 0 }) => metres),
      bored: Uint8Array.from(steps, ({ bored }) => Number(bored === true)),
    }
  }
}
