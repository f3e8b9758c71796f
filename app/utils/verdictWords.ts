/** What becomes of a row that is imported. */
export const VERDICT_WORDS = { added: 'added', changed: 'changed', same: 'unchanged', refused: 'rejected' } as const
