/** What is the same every week: the washing song, turns, starting and stopping. Source: core/data/talk/routines.json. */
import data from '../../../data/talk/routines.json'

/** A line of the washing song with the part of the hand that is due. */
export interface SongLine {
  part: string
  says: string
  hands: string
}
/** The washing song, sung to a traditional tune: twenty seconds, six parts of the hand. */
export const WASHING_SONG: readonly SongLine[] = data.song
/** How long the song lasts, seconds. Source: WHO and NHS advice (20 seconds), from memory. */
export const SONG_SECONDS: number = data.seconds

/** The line that is sung after so many seconds: 0 to 5; the last one when it is over. */
export const songLineAt = (seconds: number): number =>
  Math.min(WASHING_SONG.length - 1, Math.max(0, Math.floor((seconds * WASHING_SONG.length) / SONG_SECONDS)))

export interface RoutineRow {
  id: string
  from: number
  to?: number
  says: string
  /** It hands on to somebody: not after the last turn. */
  handsOn?: boolean
}
/** What goes with handing on and taking a turn. */
export const PASS_ON: readonly RoutineRow[] = data.passOn
export const NOW_NEXT: RoutineRow = { id: 'now-next', ...data.nowNext }
export const NOW_LAST: RoutineRow = { id: 'now-last', ...data.nowLast }
export const STARTING: RoutineRow = { id: 'starting', ...data.start }
/** After the last turn of a step. */
export const STEP_DONE: RoutineRow = { id: 'step-done', ...data.stepDone }
/** After the last turn of the last step. */
export const LAST_DONE: RoutineRow = { id: 'last-done', ...data.lastDone }
/** While a gate stands open before a step. */
export const IN_A_MOMENT: RoutineRow = { id: 'in-a-moment', ...data.inAMoment }
export const ALL_DONE: RoutineRow = { id: 'all-done', ...data.allDone }
