/** Where a server may listen: on this machine as it likes; for others over https, or by an explicit word, and never with sign-ins that stand in the README. */

/** 127.0.0.0/8, ::1 and its name. */
export const isLoopback = (host: string): boolean =>
  host === 'localhost' || host === '::1' || /^127(\.\d{1,3}){3}$/.test(host)

/**
 * @param at.plain that passwords and cards may go over the network in clear was said
 * @param at.demo the database holds a setting of the demo
 * @returns what stands against it, in words; empty where nothing does
 */
export function hostFault(at: { host: string; https: boolean; plain: boolean; demo: boolean }): string {
  if (isLoopback(at.host)) return ''
  if (at.demo)
    return `HOST=${at.host} serves Lea to others, and this database holds the demo, whose passwords are known to all: use another database, or ./lea stop and remove .lea/`
  if (!at.https && !at.plain)
    return `HOST=${at.host} serves Lea to others in clear: put a proxy with a certificate in front and say LEA_HTTPS=1, or say LEA_PLAIN_HTTP=1 if a local network without one is meant`
  return ''
}
