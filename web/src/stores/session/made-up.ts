/** A made-up group on this screen, with the first of the setting's recipes that a plan can be made of. */
import { MADE_UP, type StoredSession, madeUpSession } from '@lea/core/setting'
import { todayText } from '../../shared/dates'
import type { useSettingStore } from '../setting'
import type { Saving } from './saving'

/** @returns null where the setting has no recipe with steps */
export function madeUpHere(setting: ReturnType<typeof useSettingStore>): StoredSession | null {
  const recipe = setting.recipes.find((r) => r.recipe.steps.length > 0)
  return recipe ? madeUpSession(todayText(), recipe.id, setting.adults) : null
}

/** Sends what has changed since then; of a made-up group nothing. */
export const saveUnlessMadeUp =
  (saving: Saving): Saving['save'] =>
  (since) =>
    since.id === MADE_UP ? Promise.resolve(null) : saving.save(since)
