/** Limits that keep a file within what can be built and computed. */
export const LIMITS = { wall: 100_000, screens: 2_500, walls: 200, arrays: 50, members: 1_000, readings: 5_000, log: 100_000, models: 2_000, faults: 100, member: 200 }
