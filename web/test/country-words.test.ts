/** Where the words of the country are put in, and where somebody's own words stay letter for letter. */
import { describe, expect, it } from 'vitest'
import { compileTemplate } from 'vue/compiler-sfc'
import { countryWords } from '../country-words'

const code = (source: string): string =>
  compileTemplate({
    source,
    filename: 'x.vue',
    id: 'x',
    compilerOptions: { nodeTransforms: [countryWords] },
  }).code
const turned = (source: string): number => code(source).split('$words(').length - 1

describe('the words of the country on a page', () => {
  it.each([
    ['what is put in', '<p>{{ food }}</p>', 1],
    ['a fixed text that the US says otherwise', '<p>Put the soya drink on the hob.</p>', 1],
    ['a fixed text that it does not', '<p>Wash hands.</p>', 0],
    ['what is read out', '<button :aria-label="a" :title="b" :class="c" />', 2],
    [
      'within a condition and a list',
      '<ul><li v-for="f in list" :key="f"><b v-if="f">{{ f }}</b></li></ul>',
      1,
    ],
  ])('%s', (_, source, times) => expect(turned(source)).toBe(times))
  it.each([
    [
      'a packet',
      '<p translate="no"><template v-for="p in x" :key="p"><mark v-if="p">{{ p }}</mark><i v-else>{{ p }} soya</i></template></p>',
    ],
    ['a note', '<p translate="no">{{ note }}</p>'],
    ['foreign words', '<bdi>{{ word }}</bdi>'],
  ])('leaves %s as it is', (_, source) => expect(turned(source)).toBe(0))
  it('leaves what stands beside it to be turned', () =>
    expect(turned('<p>{{ a }} <bdi>{{ b }}</bdi> {{ c }}</p>')).toBe(2))
})
