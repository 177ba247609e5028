/** Where to go on after signing in or opening: a path of this application, and no other. */
export const innerPath = (to: unknown): string =>
  typeof to === 'string' && /^\/(?!\/)/.test(to) ? to : '/today'
