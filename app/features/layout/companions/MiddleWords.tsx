import { bayCount } from '~/core/companions/middle'
import { useWallEditor } from '~/editor/WallEditor'
import { stripName } from '~/messages'
import type { Middle } from '~/model'
import { Choice } from '~/ui/Choice'

const MOST = 40

/** What something is centered on: the covered part, a bay, a strip. */
export function MiddleWords({
  label,
  middle,
  onChange,
}: {
  label: string
  middle: Middle
  onChange: (middle: Middle) => void
}) {
  const { plan, wording } = useWallEditor()
  const bays = Math.min(MOST, bayCount(plan.layout))
  const strips = plan.layout.strips
    .filter(({ part, role }) => part === '' && role !== 'border')
    .slice(0, MOST)
  const value =
    middle.on === 'wall' ? 'wall' : middle.on === 'bay' ? `bay:${middle.bay}` : `strip:${middle.strip}`
  const options = [
    { id: 'wall', text: 'the wall, as far as it is covered' },
    ...(bays > 1
      ? Array.from({ length: bays }, (_, i) => ({ id: `bay:${i + 1}`, text: `bay ${i + 1}` }))
      : []),
    ...strips.map(({ id }) => ({ id: `strip:${id}`, text: stripName(id, wording) })),
  ]
  const known = options.some(({ id }) => id === value)
  return (
    <Choice
      word
      label={label}
      value={value}
      options={known ? options : [...options, { id: value, text: 'what is not there any more' }]}
      onChange={(id) => {
        if (id === 'wall') onChange({ on: 'wall' })
        else if (id.startsWith('bay:')) onChange({ on: 'bay', bay: Number(id.slice(4)) })
        else if (id.startsWith('strip:')) onChange({ on: 'strip', strip: id.slice(6) })
      }}
    />
  )
}
