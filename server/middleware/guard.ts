import { guard } from '../guard/requests'

/** Before anything is read of a request. */
export default defineEventHandler(event => guard({ method: event.method, path: event.path.split('?')[0]!, header: name => getHeader(event, name) }))
