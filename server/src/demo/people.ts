/**
 * The people of the demo. All of them, their settings and their sign-ins are made up; the town is Saltmere.
 * Ages are given in completed months on the day of the first session ahead, so that it is the same plan on whatever day the demo is loaded.
 */
import type { Concern, Diet, Level } from '@lea/core/food'
import type { Need } from '@lea/core/plan'
import type { StoredProfile } from '@lea/core/setting'

interface DemoChild {
  nickname: string
  months: number
  profile: Omit<StoredProfile, 'nickname'>
}
interface DemoAdult {
  name: string
  role: 'owner' | 'leader' | 'helper'
  signIn?: string
  leads: ('knives' | 'heat')[]
}
export interface DemoSetting {
  name: string
  kind: 'nursery' | 'library' | 'home'
  adults: DemoAdult[]
  children: DemoChild[]
  /** Targets of this week. */
  week?: string[]
  /** Measures that are lost. */
  lost: string[]
  /** What is in the cupboard. */
  shelf: { food: string; amount: string; unit: string }[]
  past: { recipe: string; daysAgo: number; start: string; until: string; memo: string[] }[]
  ahead: { recipe: string; inDays: number; start: string; until: string }[]
}

export const DEMO_PASSWORD = 'saltmere-demo'
export const DEMO_SIGN_INS: [string, string, string][] = [
  ['petra', DEMO_PASSWORD, 'owner, Curlew House Nursery'],
  ['seun', DEMO_PASSWORD, 'leader, Curlew House Nursery'],
  ['gwenda', DEMO_PASSWORD, 'helper, Curlew House Nursery'],
  ['tomasz', DEMO_PASSWORD, 'owner, Saltmere Library'],
  ['alder', DEMO_PASSWORD, 'owner, Number 9, Ropewalk'],
]

const concern = (allergen: string, level: Level): Concern => ({ allergen, level })

interface Extra {
  concerns?: Concern[]
  diets?: Diet[]
  languages?: string[]
  hand?: 'left' | 'right'
  needs?: Need[]
  carePlan?: string
}
const child = (nickname: string, months: number, extra: Extra = {}): DemoChild => ({
  nickname,
  months,
  profile: { concerns: [], diets: [], languages: [], needs: [], ...extra },
})

export const DEMO_SETTINGS: DemoSetting[] = [
  {
    name: 'Curlew House Nursery, Heron Room',
    kind: 'nursery',
    week: ['count-one-to-one-10', 'frac-half-object', 'lang-predict'],
    lost: [],
    shelf: [
      { food: 'wheat-flour', amount: '400', unit: 'g' },
      { food: 'bicarbonate', amount: '100', unit: 'g' },
      { food: 'olive-oil', amount: '300', unit: 'mL' },
      { food: 'cinnamon', amount: '20', unit: 'g' },
    ],
    adults: [
      { name: 'Petra Vance', role: 'owner', signIn: 'petra', leads: ['knives', 'heat'] },
      { name: 'Oluwaseun Adair', role: 'leader', signIn: 'seun', leads: ['knives', 'heat'] },
      { name: 'Gwenda Marsh', role: 'helper', signIn: 'gwenda', leads: ['knives'] },
    ],
    children: [
      child('Wren', 52, {
        concerns: [concern('cashew', 'allergy-strict'), concern('pistachio', 'allergy-strict')],
      }),
      child('Idris', 47, { concerns: [concern('egg', 'allergy-strict')], languages: ['cy'] }),
      child('Maren', 58, { hand: 'left' }),
      child('Kofi', 50, { diets: ['halal'], languages: ['ar'] }),
      child('Anouk', 61, { concerns: [concern('lactose-intolerance', 'intolerance')], languages: ['fr'] }),
      child('Pavel', 62, { languages: ['pl'], needs: ['no-wet-food'] }),
      child('Zuri', 41, {
        concerns: [concern('milk', 'anaphylaxis-risk')],
        carePlan:
          'Two injectors in the red bag by the door. Petra and Oluwaseun are trained. Call 999, then her mother.',
      }),
      child('Otis', 49, {
        concerns: [concern('peanut', 'not-in-room')],
        carePlan: 'No peanut in the room, also not in powder. Injectors in the red bag by the door.',
      }),
      child('Sunniva', 44, { diets: ['vegetarian'] }),
      child('Bodhi', 34, { concerns: [concern('kiwi', 'allergy-ingredient')] }),
      child('Leocadia', 55, { languages: ['pt'], needs: ['limited-grip'] }),
      child('Tarquin', 39, { needs: ['wheelchair'] }),
    ],
    past: [
      {
        recipe: 'cucumber-mint-raita',
        daysAgo: 47,
        start: '10:15',
        until: '11:15',
        memo: [
          'Mint first: the smell brings them all to the table.',
          'Nylon knives cut well; two more are needed.',
          '',
        ],
      },
      {
        recipe: 'lentil-letter-soup',
        daysAgo: 33,
        start: '10:00',
        until: '11:30',
        memo: [
          'Letters were the best part.',
          'Wait at the hob was long; draw the soup next time.',
          'Leave the stock out again.',
        ],
      },
      {
        recipe: 'cheese-leek-scones',
        daysAgo: 19,
        start: '10:15',
        until: '11:30',
        memo: ['Cold butter from the fridge, cut the evening before.', '', ''],
      },
      {
        recipe: 'overnight-oats-pear',
        daysAgo: 5,
        start: '10:15',
        until: '11:00',
        memo: ['The drum grater needs a clamp.', 'They asked to see the pots in the fridge three times.', ''],
      },
    ],
    ahead: [
      { recipe: 'herb-soda-bread', inDays: 2, start: '10:15', until: '11:30' },
      { recipe: 'lentil-letter-soup', inDays: 9, start: '10:00', until: '11:30' },
    ],
  },
  {
    name: 'Saltmere Library, Story Kitchen',
    kind: 'library',
    lost: ['third-cup'],
    shelf: [{ food: 'couscous', amount: '250', unit: 'g' }],
    adults: [
      { name: 'Tomasz Reil', role: 'owner', signIn: 'tomasz', leads: ['knives', 'heat'] },
      { name: 'Farida Quill', role: 'helper', leads: ['knives'] },
    ],
    children: [
      child('Yusra', 81, { diets: ['halal'], languages: ['ur'] }),
      child('Emeka', 97, { concerns: [concern('soya', 'allergy-strict')] }),
      child('Birgit', 66, { concerns: [concern('wheat', 'allergy-strict')] }),
      child('Ravi', 74, { concerns: [concern('sesame', 'allergy-strict')], diets: ['vegetarian'] }),
      child('Solveig', 44, { concerns: [concern('fish', 'allergy-ingredient')] }),
      child('Hamish', 121, { languages: ['es'] }),
      child('Noor', 58, { diets: ['vegan'] }),
      child('Ondine', 11),
    ],
    past: [
      {
        recipe: 'couscous-jars',
        daysAgo: 24,
        start: '11:00',
        until: '11:45',
        memo: ['Big ones helped small ones without being asked.', '', ''],
      },
    ],
    ahead: [{ recipe: 'couscous-jars', inDays: 4, start: '11:00', until: '11:45' }],
  },
  {
    name: 'Number 9, Ropewalk',
    kind: 'home',
    lost: ['third-cup', 'tbsp'],
    shelf: [
      { food: 'oats-rolled', amount: '700', unit: 'g' },
      { food: 'milk-cow', amount: '568', unit: 'mL' },
      { food: 'pear', amount: '3', unit: 'item' },
    ],
    adults: [{ name: 'Alder Finch', role: 'owner', signIn: 'alder', leads: ['knives', 'heat'] }],
    children: [
      child('Xanthe', 125, { languages: ['cy'] }),
      child('Dilwyn', 77, { concerns: [concern('coeliac', 'coeliac')], languages: ['cy'], hand: 'left' }),
      child('Jarek', 29, { languages: ['uk'] }),
    ],
    past: [
      {
        recipe: 'cucumber-mint-raita',
        daysAgo: 12,
        start: '16:00',
        until: '16:45',
        memo: ['Jarek tore all the mint.', '', ''],
      },
    ],
    ahead: [{ recipe: 'overnight-oats-pear', inDays: 3, start: '16:30', until: '17:30' }],
  },
]
