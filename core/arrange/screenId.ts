/** The id of a screen: its array's, and where in it the screen hangs. It lasts as long as the array has that place. */
export const screenId = ({ id }: { id: string }, row: number, column: number): string => `${id}-r${row}c${column}`
