/**
 * The words of the country where a text is set on a page: every `{{ … }}`, every fixed text that a country says otherwise, and what is read
 * out (`aria-label`, `title`, `placeholder`) goes through `$words` (see main.ts), so that no component has to think of it. What somebody
 * wrote, and the words of a packet, stay letter for letter: within `translate="no"` and within `<bdi>` nothing is turned.
 */
import { NodeTypes, type NodeTransform, type TemplateChildNode } from '@vue/compiler-core'
import { isBritish } from '../core/src/amount/nation/words'

const READ_OUT = new Set(['aria-label', 'title', 'placeholder', 'alt'])
/** What stands within somebody's own words. */
const own = new WeakSet<object>()
function leave(nodes: readonly TemplateChildNode[]): void {
  for (const n of nodes) {
    own.add(n)
    if ('children' in n && Array.isArray(n.children)) leave(n.children as TemplateChildNode[])
  }
}

export const countryWords: NodeTransform = (node, context) => {
  if (own.has(node)) return
  const turned = (...inner: unknown[]) =>
    ({
      type: NodeTypes.COMPOUND_EXPRESSION,
      loc: node.loc,
      children: ['_ctx.$words(', ...inner, ')'],
    }) as never
  if (node.type === NodeTypes.INTERPOLATION) node.content = turned(node.content)
  else if (node.type === NodeTypes.TEXT && isBritish(node.content))
    context.replaceNode({
      type: NodeTypes.INTERPOLATION,
      loc: node.loc,
      content: turned(JSON.stringify(node.content)),
    })
  else if (node.type === NodeTypes.ELEMENT) {
    const kept = node.props.some(
      (p) => p.type === NodeTypes.ATTRIBUTE && p.name === 'translate' && p.value?.content === 'no',
    )
    if (kept || node.tag === 'bdi') {
      leave(node.children)
      return
    }
    node.props = node.props.map((p) =>
      p.type === NodeTypes.DIRECTIVE &&
      p.name === 'bind' &&
      p.exp &&
      p.arg?.type === NodeTypes.SIMPLE_EXPRESSION &&
      READ_OUT.has(p.arg.content)
        ? { ...p, exp: turned(p.exp) }
        : p,
    )
  }
}
