/** Small parts of the screen, mounted alone: what they show and say. */
import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import Amount from '../src/parts/Amount.vue'
import { roomFor } from '../src/parts/mats/marks'
import ScoopStrip from '../src/parts/mats/ScoopStrip.vue'
import PlainStrip from '../src/session/amounts/PlainStrip.vue'
import MeasureBox from '../src/session/amounts/MeasureBox.vue'
import { usePieces } from '../src/choose/usePieces'

describe('labels under a strip', () => {
  const seven = Array.from({ length: 7 }, () => 100 / 7)
  it('stand under the ends of their scoops, the first and the last always', () => {
    const shown = roomFor(['0', '1/3', '2/3', '1', '1 1/3', '1 2/3', '2', '2 1/3'], seven, 10)
    expect(shown.map((m) => m.text)).toEqual(['0', '1/3', '2/3', '1', '1 1/3', '1 2/3', '2', '2 1/3'])
    expect(shown.at(-1)?.left).toBeCloseTo(100, 10)
    expect(shown[3]?.left).toBeCloseTo(300 / 7, 10)
  })
  it('leave out those that have no room, by where they stand and not by their number', () => {
    const shown = roomFor(['0', '1/2', '5/8', '3/4', '1'], [50, 12.5, 12.5, 25], 20)
    expect(shown.map((m) => m.text)).toEqual(['0', '1/2', '3/4', '1'])
  })
  it('are none where there is no scale', () => expect(roomFor([], [], 10)).toEqual([]))
})

describe('a scoop strip', () => {
  const props = {
    children: ['a', 'b', 'a'],
    mats: () => 0,
    names: (id: string) => ({ a: 'Wren', b: 'Idris' })[id] ?? '',
    marks: ['0', '1/2', '3/4', '1'],
    shares: [50, 25, 25],
  }
  it('is as long in its parts as its scoops, and says who does them', () => {
    const strip = mount(ScoopStrip, { props })
    expect(strip.attributes('aria-label')).toBe('3 scoops: Wren, Idris, Wren')
    const widths = strip.findAll('.overflow-hidden').map((d) => (d.element as HTMLElement).style.width)
    expect(widths).toEqual(['50%', '25%', '25%'])
  })
  it('is even where the sizes are not known', () => {
    const strip = mount(ScoopStrip, { props: { ...props, shares: [] } })
    const widths = strip.findAll('.overflow-hidden').map((d) => (d.element as HTMLElement).style.width)
    expect(new Set(widths).size).toBe(1)
  })
  it('without children has plain segments in the same proportion', () => {
    const strip = mount(PlainStrip, { props: { shares: [75, 25], marks: ['0', '3/4', '1'], label: 'x' } })
    const widths = strip.findAll('.border-ink').map((d) => (d.element as HTMLElement).style.width)
    expect(widths).toEqual(['75%', '25%'])
  })
})

describe('an amount', () => {
  it('sets fractions as fractions and leaves numbers as they are', () => {
    const text = mount(Amount, { props: { text: '1 1/2 cups or 375 mL' } })
    expect(text.findAll('.frac').map((f) => f.text())).toEqual(['1/2'])
    expect(text.text()).toContain('375 mL')
  })
})

describe('the box of measures', () => {
  const measures = [
    { id: 'cup', name: '1 cup', size: '1', unit: 'cup_m', count: 2 },
    { id: 'half', name: '1/2 cup', size: '1/2', unit: 'cup_m', count: 0 },
  ]
  const options = { global: { stubs: { RouterLink: { template: '<a><slot /></a>' } } } }
  it('says of each whether it is in use, in the box or lost, and how many there are', async () => {
    const box = mount(MeasureBox, { props: { measures, used: ['cup'], disabled: false }, ...options })
    expect(box.findAll('button').map((b) => b.attributes('aria-label'))).toEqual([
      '1 cup: 2, in use',
      '1/2 cup: lost',
    ])
    await box.findAll('button')[1]?.trigger('click')
    expect(box.emitted('toggle')).toEqual([['half']])
  })
  it('says what to do where it is empty', () => {
    const box = mount(MeasureBox, { props: { measures: [], used: [], disabled: false }, ...options })
    expect(box.text()).toContain('The box is empty')
  })
})

describe('a long list', () => {
  const numbers = (count: number): number[] => Array.from({ length: count }, (_, i) => i)
  it('is shown by a few at a time until all of a piece is there', async () => {
    const { shown, next, more } = usePieces(ref(numbers(50)))
    expect([shown.value.length, next.value]).toEqual([2, 20])
    await vi.waitFor(() => expect(shown.value.length).toBe(20), 3000)
    more()
    expect(next.value).toBe(10)
    await vi.waitFor(() => expect(shown.value.length).toBe(40), 3000)
    more()
    expect(next.value).toBe(0)
    await vi.waitFor(() => expect(shown.value).toEqual(numbers(50)), 3000)
  })
  it('begins anew when another choice is made, and stands when only more is said of it', async () => {
    const list = ref(numbers(9))
    const { shown } = usePieces(list)
    await vi.waitFor(() => expect(shown.value.length).toBe(9), 3000)
    list.value = numbers(9).reverse()
    await nextTick()
    expect(shown.value).toEqual(numbers(9).reverse())
    list.value = numbers(7)
    await nextTick()
    expect(shown.value.length).toBe(2)
    await vi.waitFor(() => expect(shown.value.length).toBe(7), 3000)
  })
})
