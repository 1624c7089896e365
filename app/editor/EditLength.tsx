import { useRef } from 'react'
import type { Edit, Workpiece } from '~/model'
import { LengthField, type LengthFieldProps } from '~/ui/LengthField'
import { LengthWord } from '~/ui/LengthWord'
import { useUnread, useWallEditor } from './WallEditor'

type Own = 'format' | 'onChange' | 'onCommit' | 'onRestore' | 'unread' | 'onUnread'
type EditLengthProps = Omit<LengthFieldProps, Own> & {
  /** Names the field, so that unreadable text finds its way back. */
  readonly field: string
  readonly toEdits: (value: LengthFieldProps['value']) => readonly Edit[]
}

function useLengthProps({ field, toEdits }: Pick<EditLengthProps, 'field' | 'toEdits'>) {
  const { workpiece, wording, edit, saveNow, restore, reportUnread } = useWallEditor()
  const unread = useUnread()
  const before = useRef<Workpiece | null>(null)
  return {
    format: wording.format,
    // what is typed is drawn at once, saved when the field is left, and gone with Esc
    onChange: (value: LengthFieldProps['value']) => {
      before.current ??= workpiece
      edit(toEdits(value), 'typed')
    },
    onCommit: () => {
      before.current = null
      void saveNow()
    },
    onRestore: () => {
      if (before.current) restore(before.current)
      before.current = null
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
