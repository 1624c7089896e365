import { styled } from 'styled-components'
import { useWallEditor } from '~/editor/WallEditor'
import type { Edit } from '~/model'
import { Button } from '~/ui/Button'
import { type } from '~/ui/theme'

const Wide = styled(Button)`
  display: block;
  width: 100%;
  text-align: left;
  & small {
    font-size: ${type.small};
    color: var(--ink-soft);
  }
  &[data-now] {
    border: 2px solid var(--chalk);
    background: var(--chalk-wash);
  }
`

/** A change on offer: drawn over the wall while it is pointed at, made when it is pressed. */
export function EditButton(props: {
  edits: readonly Edit[]
  wide?: boolean
  isNow?: boolean
  children: React.ReactNode
}) {
  const { edit, lookAt } = useWallEditor()
  const Kind = props.wide ? Wide : Button
  return (
    <Kind
      data-now={props.isNow || undefined}
      onPress={() => edit(props.edits, 'done')}
      onHoverStart={() => lookAt(props.edits)}
      onHoverEnd={() => lookAt(null)}
      onFocus={() => lookAt(props.edits)}
      onBlur={() => lookAt(null)}
    >
      {props.children}
    </Kind>
  )
}
