import type { IncomingHttpHeaders } from 'node:http';

/** Names of this machine to itself; another name in a request was brought here by somebody else's page. */
const OURS = /^(?:127\.0\.0\.1|localhost|\[::1\])(?::\d{1,5})?$/;

/** Whether a request asks for this machine by one of its own names. */
export const isOwnHost = (host: string | undefined): boolean => host !== undefined && OURS.test(host);

/**
 * Whether a page of ours asks, or nobody's: what a person types has no origin.
 *
 * @example isOwnOrigin({ host: '127.0.0.1:4310', origin: 'http://elsewhere.example' }) // false
 */
export function isOwnOrigin(headers: IncomingHttpHeaders): boolean {
  const { origin, host } = headers;
  const site = headers['sec-fetch-site'];
  if (origin !== undefined && origin !== `http://${host}`) return false;
  // A link from elsewhere may open the page; no page elsewhere may fetch a part of it.
  return site !== 'cross-site' || headers['sec-fetch-mode'] === 'navigate';
}
