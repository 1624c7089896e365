import { Choice } from '~/ui/Choice'

/** Whether a least size will do itself, or has to be exceeded. */
export function MoreThan({
  label,
  moreThan,
  onChange,
}: {
  label: string
  moreThan: boolean | undefined
  onChange: (moreThan: boolean) => void
}) {
  return (
    <Choice
      word
      label={label}
      value={moreThan === true ? 'more' : 'least'}
      options={[
        { id: 'least', text: 'no less than' },
        { id: 'more', text: 'more than' },
      ]}
      onChange={(id) => onChange(id === 'more')}
    />
  )
}
