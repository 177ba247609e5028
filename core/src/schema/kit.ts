/** The box: measures, equipment, tools. */
import * as yup from 'yup'
import { amount, id, listOf, required, maybeWhole, whole } from './text'

/** One measure of the box. */
export const measureSchema = yup
  .object({
    id: id('Measure id'),
    name: required('Name of the measure', 40),
    size: amount('Size'),
    unit: required('Unit', 20),
    count: whole('How many', 0, 50),
  })
  .noUnknown()

/** The box: measures, equipment, trays, places at the sink, tools. */
export const kitSchema = yup
  .object({
    measures: listOf(measureSchema, 'Measures', 40),
    equipment: listOf(required('Equipment', 40), 'Equipment', 40),
    trays: maybeWhole('Trays at once', 1, 12),
    sinkPlaces: maybeWhole('Places at the sink', 1, 12),
    tools: listOf(
      yup.object({ tool: required('Tool', 120), count: whole('How many', 0, 50) }).noUnknown(),
      'Tools',
      60,
    )
      .optional()
      .default(undefined),
  })
  .noUnknown()
