/** The rules of a setting. */
import * as yup from 'yup'
import { NATION_IDS } from '../amount/nation/nations'
import { TECHNIQUES } from '../craft/techniques'
import { TALK_RULES } from '../learn/levels'
import { TARGETS } from '../learn/targets'
import { LANGUAGE_RULES } from '../learn/glossary'
import { eggSizeSchema, measuringSchema } from './amounts'
import { houseTechniqueSchema, ratiosSchema } from './craft'
import { ownDietSchema } from './diet'
import { isTimeZone } from '../amount/days'
import { line, listOf, oneOf, required, maybeWhole, whole } from './text'

/** Months for which records are kept. */
export const keepMonthsSchema = whole('Months', 1, 300)

/** Where practitioners differ, and what this setting has chosen. */
export const rulesSchema = yup
  .object({
    kind: oneOf(['nursery', 'library', 'home'] as const, 'Kind'),
    country: oneOf(['uk', 'us'] as const, 'Country'),
    nation: oneOf(NATION_IDS, 'Nation').optional().default(undefined),
    zone: line('Time zone', 60)
      .optional()
      .transform((value: unknown) => value || undefined)
      .test('zone', 'Time zone must be one such as Europe/London', (v) => v === undefined || isTimeZone(v)),
    grouping: oneOf(['together', 'groups', 'own'] as const, 'Grouping'),
    ownUnder: maybeWhole('Own bowl under so many months', 12, 120),
    groupSize: whole('Group size', 1, 12),
    knives: oneOf(['soft-first', 'real-early'] as const, 'Knives'),
    points: yup.boolean().optional(),
    techniques: listOf(houseTechniqueSchema, 'Techniques', TECHNIQUES.length).optional().default(undefined),
    ratios: ratiosSchema.optional().default(undefined),
    talk: oneOf(TALK_RULES, 'Talk').optional().default(undefined),
    languages: oneOf(LANGUAGE_RULES, 'Languages').optional().default(undefined),
    allergy: oneOf(['one-pot', 'own-bowl'] as const, 'Allergy')
      .optional()
      .default(undefined),
    ownRules: listOf(required('Own rule', 160), 'Own rules', 8).optional().default(undefined),
    week: listOf(
      oneOf(
        TECHNIQUES.map((t) => t.id),
        'Technique',
      ),
      'Techniques of the week',
      12,
    )
      .optional()
      .default(undefined),
    targets: listOf(
      oneOf(
        TARGETS.map((t) => t.id),
        'Goal',
      ),
      'Goals of the week',
      8,
    )
      .optional()
      .default(undefined),
    maxScoops: whole('Most scoops', 1, 60),
    measuring: measuringSchema.optional(),
    eggSize: eggSizeSchema.optional(),
    diets: listOf(ownDietSchema, 'Diets', 12).optional().default(undefined),
  })
  .noUnknown()
