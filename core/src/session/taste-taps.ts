/** What is tapped of tastes and of what grows, as the table keeps it. */
import type { FoodMeeting, TableEvent, Thumb } from './event'

/** How tastes were found and named, and the looks at what grows. */
export interface TasteTaps {
  /** Tasting (its step) -> child -> line -> how it was found. */
  thumbs: Record<string, Record<string, Record<string, Thumb>>>
  /** Tasting -> child -> line -> the line that it said it was. */
  named: Record<string, Record<string, Record<string, string>>>
  /** Day since the sowing -> what was seen. */
  looks: Record<number, { at: string; says?: string; mm?: number }>
  /** Child -> food -> how it was met, as noted last. */
  met: Record<string, Record<string, FoodMeeting>>
}

/** @param state is changed by the tap */
export function tapTaste(
  state: TasteTaps,
  e: Extract<TableEvent, { kind: 'thumb' | 'named-taste' | 'look' }>,
): void {
  switch (e.kind) {
    case 'thumb': {
      const { tasting, child, line, food, thumb } = e.body
      state.thumbs[tasting] = withTap(state.thumbs[tasting], child, line, thumb)
      // Who put a thumb has tasted it; what was noted of it otherwise stands.
      state.met[child] = { [food]: 'tasted', ...state.met[child] }
      break
    }
    case 'named-taste': {
      const { tasting, child, line, named } = e.body
      state.named[tasting] = withTap(state.named[tasting], child, line, named)
      break
    }
    case 'look': {
      const { day, ...seen } = e.body
      state.looks[day] = { ...seen, at: e.at }
      break
    }
  }
}

/** One more tap of a child about a line. */
const withTap = <T>(
  by: Record<string, Record<string, T>> | undefined,
  child: string,
  line: string,
  tap: T,
): Record<string, Record<string, T>> => ({ ...by, [child]: { ...by?.[child], [line]: tap } })
