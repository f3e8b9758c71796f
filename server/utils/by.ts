/** Who did something, and when (ISO 8601). */
export interface By { by: string, at: string }
