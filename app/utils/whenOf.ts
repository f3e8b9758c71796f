import { ref } from 'vue'
import { dateText, momentText } from '~~/core/dates'

/** The time zone of the site that is looked at: its moments are told in it. Where none is known, the reader's own. */
export const siteZone = ref<string>()

/** When something was done, in the zone of the site; what a broken clock wrote stays as it is. */
export const whenOf = (at: string): string => momentText(at, siteZone.value)
/** The day on which something was done, or is due. */
export const dayOf = (at: string): string => dateText(at, siteZone.value)
