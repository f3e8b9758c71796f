/** The path of an upright cross with its middle at a place, so wide and so high. */
export const crossAt = (x: number, y: number, size: number): string =>
  `M${x - size / 2} ${y} h${size} M${x} ${y - size / 2} v${size}`
