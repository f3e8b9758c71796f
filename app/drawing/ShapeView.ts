import { h, type FunctionalComponent, type VNode } from 'vue'
import type { Shape } from '~~/core/svg'

const drawn = ({ name, attributes, content }: Shape): VNode =>
  h(name, attributes, content.map(part => typeof part === 'string' ? part : drawn(part)))

/** A drawing that is made for paper, in the page itself, where it has the page's typefaces. */
export const ShapeView: FunctionalComponent<{ shape: Shape }> = ({ shape }) => drawn(shape)
ShapeView.props = ['shape']
