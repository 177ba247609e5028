/** What a child needs to do a technique in its own way. */
import type { Technique } from './techniques'

/** What is known of the child. */
export interface HandAndNeeds {
  hand?: 'left' | 'right'
  needs: readonly ('wheelchair' | 'limited-grip' | 'no-wet-food')[]
}

const KEY = { wheelchair: 'wheelchair', 'limited-grip': 'grip', 'no-wet-food': 'wet' } as const

/**
 * @returns short phrases, the hand first; none where nothing is different
 * @source common practice (age-skill-safety A2), from memory
 */
export function helpsFor({ adapt }: Technique, child: HandAndNeeds): string[] {
  return [
    ...(child.hand === 'left' && adapt?.left ? [adapt.left] : []),
    ...child.needs.flatMap((n) => adapt?.[KEY[n]] ?? []),
  ]
}
