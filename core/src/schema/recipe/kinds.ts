/** Pictures that are built, tastings and what grows, as they cross a boundary. */
import * as yup from 'yup'
import { LOOKS_MOST, LOOK_DAY_MOST } from '../../recipe/kinds/growing'
import { SCENE_PARTS_MOST, SCENE_PIECES_MOST } from '../../recipe/kinds/scene'
import { GROUNDS, SCENE_PLACES } from '../../recipe/kinds/scene-parts'
import { TASTES_MOST } from '../../recipe/kinds/tasting'
import { id, listOf, oneOf, required, whole } from '../text'

/** A picture that is built of food. */
export const sceneSchema = yup
  .object({
    of: required('What the picture is of', 40),
    on: oneOf(GROUNDS, 'What the picture lies on'),
    parts: listOf(
      yup
        .object({
          what: required('Part of the picture', 30),
          at: oneOf(SCENE_PLACES, 'Where the part lies'),
          n: whole('How many of the part', 1, SCENE_PIECES_MOST),
          lines: listOf(id('Line'), 'Lines that fill the part', 6, 1),
        })
        .noUnknown(),
      'Parts of the picture',
      SCENE_PARTS_MOST,
      1,
    ),
  })
  .noUnknown()

/** Foods that are tasted one by one. */
export const tastingSchema = yup
  .object({
    lines: listOf(id('Line'), 'Lines that are tasted', TASTES_MOST, 2),
    covered: yup.boolean().optional(),
  })
  .noUnknown()

/** What grows on, with its looks. */
export const growsSchema = yup
  .object({
    what: required('What grows', 40),
    looks: listOf(
      yup
        .object({ day: whole('Day of a look', 1, LOOK_DAY_MOST), says: required('What one looks for', 200) })
        .noUnknown(),
      'Looks',
      LOOKS_MOST,
      1,
    ),
    measured: yup.boolean().optional(),
  })
  .noUnknown()
