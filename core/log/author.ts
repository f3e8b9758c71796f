/** Who made an entry, who sent it where that was another person, and whether it came after he had lost the right. */
export interface AuthorNames { by: string, sentBy?: string | undefined, late?: boolean | undefined }

/** Of an entry what is said of its author. */
export const authorNames = ({ by, sentBy, late }: AuthorNames): AuthorNames =>
  ({ by, ...sentBy !== undefined && { sentBy }, ...late && { late } })

/**
 * The author of an entry in words.
 *
 * @example authorText({ by: 'Odd Varga', sentBy: 'Isla Brandt' }) // 'Odd Varga, sent by Isla Brandt'
 */
export const authorText = ({ by, sentBy, late }: AuthorNames): string =>
  [by, sentBy && `sent by ${sentBy}`, late && 'arrived late'].filter(Boolean).join(', ')
