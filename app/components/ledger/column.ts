/** A column of a ledger: what it says of a row. */
export interface LedgerColumn<Row> { key: string, title: string, text: (row: Row) => string, numeric?: boolean }
