/** Places that are to be looked at, the nearest first: a binary heap. */
export class Nearest {
  private readonly places: number[] = []
  private readonly costs: number[] = []

  add(place: number, cost: number): void {
    const { places, costs } = this
    let at = places.push(place) - 1
    costs.push(cost)
    for (let above = (at - 1) >> 1; at > 0 && costs[above]! > cost; at = above, above = (at - 1) >> 1) {
      places[at] = places[above]!
      costs[at] = costs[above]!
    }
    places[at] = place
    costs[at] = cost
  }

  take(): number | undefined {
    const { places, costs } = this
    const [first] = places
    const [last, cost] = [places.pop(), costs.pop()]
    if (first === undefined || last === undefined || cost === undefined || places.length === 0) return first
    let at = 0
    for (;;) {
      const child = 2 * at + 1
      const less = child + 1 < places.length && costs[child + 1]! < costs[child]! ? child + 1 : child
      if (less >= places.length || costs[less]! >= cost) break
      places[at] = places[less]!
      costs[at] = costs[less]!
      at = less
    }
    places[at] = last
    costs[at] = cost
    return first
  }
}
