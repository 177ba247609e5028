/** What stands in each topic of a setting now, in a few words: so that a folded page says how it is. */
import { countText } from '../amount/show'
import { nationOf } from '../amount/nation/nations'
import type { HouseRules } from '../plan/model/request'
import type { StoredAdult } from './assemble'

export type SettingTopic = 'adults' | 'rules' | 'ages' | 'ratios' | 'goals' | 'words' | 'diets'

/** @returns a state for each topic that has one */
export function settingStates(
  rules: HouseRules,
  adults: readonly Pick<StoredAdult, 'leads'>[],
  ownWords: number,
): Record<SettingTopic, string> {
  const leads = (what: 'knives' | 'heat'): number => adults.filter((a) => a.leads.includes(what)).length
  const moved = rules.techniques?.length ?? 0
  const bowls =
    rules.grouping === 'together'
      ? 'one bowl for all'
      : rules.grouping === 'own'
        ? 'a bowl each'
        : `${rules.groupSize} to a bowl`
  return {
    adults: `${countText(adults.length, 'adult')}: knives ${leads('knives')}, heat ${leads('heat')}`,
    rules: `${nationOf(rules).name}, ${bowls}`,
    ages: moved === 0 ? 'as in the catalogue' : `${moved} changed`,
    ratios: (rules.ratios?.length ?? 0) > 0 ? 'your own' : `as in ${nationOf(rules).name}`,
    goals: countText(rules.targets?.length ?? 0, 'goal'),
    words: countText(ownWords, 'word of your own', 'words of your own'),
    diets: countText(rules.diets?.length ?? 0, 'diet of your own', 'diets of your own'),
  }
}
