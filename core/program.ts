/** The version of the program, as its package has it: every issued revision names it. */
export const PROGRAM = '0.3.0'
