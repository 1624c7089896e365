import type { Edit } from '~/model'
import { LengthField, type LengthFieldProps } from '~/ui/LengthField'
import { LengthWord } from '~/ui/LengthWord'
import { useWallEditor } from './WallEditor'

type EditLengthProps = Omit<LengthFieldProps, 'format' | 'onChange' | 'onCommit' | 'unread' | 'onUnread'> & {
  /** Names the field, so that unreadable text finds its way back. */
  readonly field: string
  readonly toEdits: (value: LengthFieldProps['value']) => readonly Edit[]
}

function useLengthProps({ field, toEdits }: Pick<EditLengthProps, 'field' | 'toEdits'>) {
  const { wording, edit, saveNow, unread, reportUnread } = useWallEditor()
  return {
    format: wording.format,
    onChange: (value: LengthFieldProps['value']) => edit(toEdits(value), 'live'),
    onCommit: () => {
      void saveNow()
    },
    unread: unread[field]?.text,
    onUnread: (text: Parameters<typeof reportUnread>[1]) => reportUnread(field, text),
  }
}

/** A length of the wall on the page, in a box. */
export function EditLength({ field, toEdits, ...rest }: EditLengthProps) {
  return <LengthField {...rest} {...useLengthProps({ field, toEdits })} />
}

/** The same as a word in a sentence. */
export function EditLengthWord({
  field,
  toEdits,
  children,
  ...rest
}: EditLengthProps & { children?: React.ReactNode }) {
  return (
    <LengthWord {...rest} {...useLengthProps({ field, toEdits })}>
      {children}
    </LengthWord>
  )
}
