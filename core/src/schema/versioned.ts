/** Rules, kit and recipes that are changed: by somebody who saw this version of them. */
import * as yup from 'yup'
import { kitSchema } from './kit'
import { recipeSchema } from './recipe/recipe'
import { rulesSchema } from './rules'
import { versionSchema } from './text'

const version = versionSchema
/** Rules, by somebody who saw this version of them. */
export const rulesChangeSchema = yup.object({ version, rules: rulesSchema }).noUnknown()
/** The kit, by somebody who saw this version of it. */
export const kitChangeSchema = yup.object({ version, kit: kitSchema }).noUnknown()
/** A recipe, by somebody who saw this version of it. */
export const recipeChangeSchema = yup.object({ version, recipe: recipeSchema }).noUnknown()
