/** A food of the setting’s own, as it crosses a boundary. */
import * as yup from 'yup'
import { RAW_KINDS } from '../food/raw-words'
import { allergenWords } from './allergen'
import { line, listOf, oneOf, required } from './text'

const verdict = oneOf(['yes', 'no', 'check'] as const, 'Diet flag')
/** Every fact of an own food: a test holds it to the type, so that none is lost. */
export const foodSchema = yup
  .object({
    id: yup
      .string()
      .matches(/^own:[\p{L}\p{N}-]{1,60}$/u, 'Food id must begin with own:')
      .required('Food id is missing'),
    name: required('Name', 60),
    aliases: listOf(required('Other name', 60), 'Other names', 12),
    contains: listOf(allergenWords('Allergen'), 'Contains', 40),
    extras: listOf(allergenWords('Allergen'), 'Also holds', 40),
    mayContain: listOf(allergenWords('Allergen'), 'May contain', 40),
    compound: yup.boolean().required(),
    diets: yup.object({ vegetarian: verdict, vegan: verdict, halal: verdict, 'no-pork': verdict }),
    plural: line('Plural', 60).optional(),
    alcohol: line('Alcohol', 120).optional(),
    group: line('Food group', 40).optional(),
    roles: listOf(line('Role', 40), 'Roles', 12).optional().default(undefined),
    storage: line('Storage', 200).optional(),
    shape: line('Row of the choking rules', 60).optional(),
    raw: oneOf([...RAW_KINDS, 'ready'] as const, 'Raw')
      .optional()
      .default(undefined),
    stings: yup.boolean().optional(),
    addedSugar: yup.boolean().optional(),
    note: line('Note', 200).optional(),
    confidence: line('Confidence', 10),
    source: line('Source', 120),
  })
  .noUnknown()
