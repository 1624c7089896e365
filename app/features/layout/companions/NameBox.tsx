import { useState } from 'react'
import { TextBox } from '~/ui/TextBox'

/** A short name that is kept when the field is left, or Enter is pressed; an empty one goes back to what it was. */
export function NameBox({
  label,
  name,
  onName,
}: {
  label: string
  name: string
  onName: (name: string) => void
}) {
  const [text, setText] = useState<string | null>(null)
  const commit = () => {
    const next = text?.trim() ?? ''
    if (next !== '' && next !== name) onName(next.slice(0, 20))
    setText(null)
  }
  return (
    <TextBox
      label={label}
      value={text ?? name}
      maxLength={20}
      onChange={setText}
      onBlur={commit}
      onKeyDown={({ key }) => {
        if (key === 'Enter') commit()
        if (key === 'Escape') setText(null)
      }}
    />
  )
}
