/** The published JSON Schema of Lea's recipes. */
import { toJsonSchema, type JsonSchema } from './json-schema'
import { recipeSchema } from './recipe'
import { RECIPE_SCHEMA_PATH } from './recipe-file'

/** The published JSON Schema of a recipe (draft 2020-12), derived from the schema that checks it. */
export function recipeJsonSchema(): JsonSchema {
  const schema = toJsonSchema(recipeSchema, {
    $id: RECIPE_SCHEMA_PATH,
    title: 'A recipe of Lea, version 2',
    $comment:
      'Beside this: ids of lines and of steps stand once each; what a step uses, a free choice offers or work ahead is for must be there. A recipe of version 1 (themes as plain words) is read too, and brought up.',
  })
  // A file may name its schema.
  return { ...schema, properties: { $schema: { type: 'string' }, ...(schema['properties'] as JsonSchema) } }
}
