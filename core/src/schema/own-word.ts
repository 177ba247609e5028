/** A setting's own words as they cross a boundary. */
import * as yup from 'yup'
import { WORD_KINDS } from '../learn/glossary'
import { languageName } from '../learn/languages'
import { line, listOf, oneOf, required } from './text'

export const languageCode = yup
  .string()
  .typeError('Language must be a code such as so or pt-BR')
  .max(20, 'Language must be a code such as so or pt-BR')
  .required('Language is missing')
  .test(
    'known',
    'Language is not a code Lea knows (such as so for Somali)',
    (v) => languageName(v) !== undefined,
  )

/** A word of the setting’s own in its languages. */
export const ownWordSchema = yup
  .object({
    id: yup
      .string()
      .matches(/^[\p{L}\p{N}:-]{1,60}$/u, 'Word id must be letters, digits and dashes')
      .required('Word id is missing'),
    kind: oneOf(WORD_KINDS, 'Kind'),
    english: line('English', 60).optional(),
    home: listOf(
      yup
        .object({
          language: languageCode,
          word: required('Word', 80),
          reading: line('Reading', 80).optional(),
          checked: yup.boolean().optional(),
        })
        .noUnknown(),
      'Home words',
      40,
    ),
  })
  .noUnknown()
