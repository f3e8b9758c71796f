/** What an edit or an entry is made and checked by: fetched once the wall is drawn, as the drawing does without. */
export { produce } from 'immer'
export { logEntryFaults } from '~~/core/job/validate'
export { faultsOfEdit as faultsOf } from '~~/core/edits/faultsOfEdit'
