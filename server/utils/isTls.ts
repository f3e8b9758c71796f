import type { H3Event } from 'h3'

/** Whether the caller does so over TLS, here or at a proxy before us. */
export const isTls = (event: H3Event): boolean => getRequestProtocol(event) === 'https'
