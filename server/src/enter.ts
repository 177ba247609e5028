/** Somebody comes in. */
import type { Request } from 'express'

/** A new sign-in gets a new session id, so that one known before is worth nothing. It keeps whose it is, and no more. */
export const enter = (req: Request, id: string, round: number): Promise<void> =>
  new Promise((done, fail) => {
    req.session.regenerate((fault: unknown) => {
      if (fault) {
        fail(fault instanceof Error ? fault : new Error('sign-in failed'))
        return
      }
      req.session.person = {
        id,
        round,
        since: new Date().toISOString(),
        device: (req.get('user-agent') ?? '').slice(0, 200),
      }
      req.session.save((lost: unknown) =>
        lost ? fail(lost instanceof Error ? lost : new Error('lost')) : done(),
      )
    })
  })
