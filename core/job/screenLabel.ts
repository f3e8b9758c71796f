/**
 * What a screen is called: by its row from the top and its column from the left.
 *
 * @example screenLabel({ row: 2, column: 3 }) // 'R2 C3'
 */
export const screenLabel = ({ row, column }: { row: number, column: number }): string => `R${row} C${column}`
