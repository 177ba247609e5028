/**
 * The words of the country where a text is set on a page: every `{{ … }}`, every fixed text that a country says otherwise, and what is read
 * out (`aria-label`, `title`, `placeholder`) goes through `$words` (see main.ts), so that no component has to think of it.
 */
import { NodeTypes, type NodeTransform } from '@vue/compiler-core'
import { isBritish } from '../core/src/amount/nation/words'

const READ_OUT = new Set(['aria-label', 'title', 'placeholder', 'alt'])

export const countryWords: NodeTransform = (node, context) => {
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
  else if (node.type === NodeTypes.ELEMENT)
    node.props = node.props.map((p) => {
      if (
        p.type === NodeTypes.DIRECTIVE &&
        p.name === 'bind' &&
        p.exp &&
        p.arg?.type === NodeTypes.SIMPLE_EXPRESSION &&
        READ_OUT.has(p.arg.content)
      )
        return { ...p, exp: turned(p.exp) }
      return p
    })
}
