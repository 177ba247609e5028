/** A changed plan under a digest of its own. */
import { digest } from './digest'
import type { Plan } from './plan'

export function sealed(plan: Plan): Plan {
  const rest: Omit<Plan, 'digest'> & { digest?: string } = { ...plan }
  delete rest.digest
  return { ...rest, digest: digest(rest) }
}
