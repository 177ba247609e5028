/**
 * General first steps in an emergency, shown without sign-in and without network. The child's own care plan, the trained
 * adult and the emergency service lead; Lea only shows.
 * Source: clinical guidelines (EAACI, WAO), DfE, NHS; from memory.
 */
import { nationOf } from '../amount/nation/nations'

export interface EmergencyPart {
  title: string
  steps: string[]
  source: string
}

/** Where nobody has signed in: every number that Lea knows. */
const ALL_NUMBERS =
  '999 or 112 in the UK, 112 in the EU, 911 in the US and Canada, 000 in Australia, 111 in New Zealand'

/** The number to call where these rules hold; where no rules are known, by country. */
export const emergencyNumber = (rules: Parameters<typeof nationOf>[0] | undefined): string =>
  rules ? nationOf(rules).emergency : ALL_NUMBERS

/** What to do at once, step by step; `{number}` stands for the number to call. Sources in each row, from memory. */
const EMERGENCY: readonly EmergencyPart[] = [
  {
    title: 'Allergic reaction: trouble with airway, breathing, or pale, floppy, collapsed',
    steps: [
      'Stay with the child. Stop the activity. Send another adult for the care plan, the medicines and a phone.',
      'Severe, or in doubt: the adrenaline auto-injector first, at once, into the outer thigh. Note the time.',
      'Lie the child flat, legs raised. If breathing is hard, sit up. Do not let the child stand or walk, even if better.',
      'Call {number} and say “anaphylaxis”.',
      'No better after 5 minutes: the second injector. Always to hospital; signs can return.',
      'Not breathing normally: CPR.',
    ],
    source: 'EAACI and WAO guidelines, DfE, NHS; from memory',
  },
  {
    title: 'Itchy mouth, hives, swollen lips, tummy pain',
    steps: [
      'Follow the child’s own plan. Never leave the child alone. Phone the family.',
      'Watch for any sign above: then it is severe.',
    ],
    source: 'EAACI guidelines; from memory',
  },
  {
    title: 'Choking',
    steps: [
      'Coughing well: encourage to cough, stay beside.',
      'Silent, cannot cough or breathe: the trained first aider now; call {number}.',
    ],
    source: 'current paediatric first-aid training comes first; NHS, from memory',
  },
  {
    title: 'Burn or scald',
    steps: [
      'Cool running water for 20 minutes. No ice, butter or cream.',
      'Take off clothing and jewellery that do not stick. Call for help.',
    ],
    source: 'NHS; from memory',
  },
  {
    title: 'Cut',
    steps: ['Press with a clean cloth, raise it, call the first aider.'],
    source: 'NHS; from memory',
  },
]

/** The first steps with the number to call where these rules hold. */
export const emergencySteps = (rules: Parameters<typeof nationOf>[0] | undefined): EmergencyPart[] =>
  EMERGENCY.map((part) => ({
    ...part,
    steps: part.steps.map((s) =>
      s.replace('{number}', rules ? emergencyNumber(rules) : 'the emergency number'),
    ),
  }))
