/** Reading the recipe together before, and looking back after. Source: core/data/talk/look-back.json. */
import data from '../../../data/talk/look-back.json'
import type { RoutineRow } from './routines'

export const READ_LINES: readonly RoutineRow[] = data.read
/** Said as a line of the recipe goes in. */
export const TICK_LINE: RoutineRow = data.tick
/** What is asked at the end. */
export const LOOK_BACK_LINES: readonly RoutineRow[] = data.back
