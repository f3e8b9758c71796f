import { peopleAnswer } from '../../utils/peopleAnswer'

/** The people of the firm, and who is invited. */
export default defineEventHandler(peopleAnswer)
