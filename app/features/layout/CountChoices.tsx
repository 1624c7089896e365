import { ToggleButton, ToggleButtonGroup } from 'react-aria-components'
import { styled } from 'styled-components'
import { boxSpacing } from '~/core/patterns/boxes'
import { asColumns } from '~/core/patterns/grid'
import { choicesAround, countChoices } from '~/core/spacing'
import { useWallEditor } from '~/editor/WallEditor'
import { nearestNanometer } from '~/length'
import { count, say, uprightWords } from '~/messages'
import type { Design } from '~/model'
import { Fractions } from '~/ui/Fractions'
import { space, type } from '~/ui/theme'

const Group = styled(ToggleButtonGroup)`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(66px, 1fr));
  gap: ${space.s};
`
const Pick = styled(ToggleButton)`
  display: grid;
  justify-items: center;
  min-height: 56px;
  padding: ${space.xs};
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--raised);
  color: var(--ink);
  cursor: pointer;
  & b {
    font-size: ${type.lead};
    font-weight: 650;
  }
  & small {
    font-size: ${type.small};
    color: var(--ink-soft);
  }
  &[data-selected] {
    border: 2px solid var(--chalk);
    background: var(--chalk-wash);
  }
  &[data-hovered] {
    border-color: var(--chalk);
  }
`
const Box = styled.section`
  display: grid;
  gap: ${space.s};
`

/** The counts whose equal gaps close the wall, nearest to the wish first to be shown; one press takes one. */
export function CountChoices() {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const { spacing: own, boxes, pattern } = workpiece.wall.design
  const { stripWidth, placement, left, right } = plan.layout
  // boxes are the gaps of a placement whose strips are the margins
  const isBoxes = pattern === 'boxes'
  const wanted = isBoxes ? boxSpacing(boxes, boxes.count) : own
  if (wanted.school !== 'nearWish' || pattern === 'rails' || plan.layout.sections.length > 1) return null
  const spacing = pattern === 'grid' ? asColumns(wanted, workpiece.wall.design.border !== 'none') : wanted
  if (spacing.school !== 'nearWish') return null
  const shown = (strips: number) => (isBoxes ? strips - 1 : strips)
  const { one, many } = uprightWords(pattern)
  const span = nearestNanometer(right - left)
  const choices = choicesAround(countChoices(spacing, span, stripWidth), 4)
  if (choices.length === 0) return null
  const now = placement?.nearEdges.length
  const take = (strips: number): Partial<Design> =>
    isBoxes ? { boxes: { ...boxes, count: strips - 1 } } : { spacing: { ...spacing, strips } }
  return (
    <Box aria-label="What closes the wall">
      <h3>
        What closes the wall: {isBoxes ? 'width of a box' : 'gap'}, and how many {many}
      </h3>
      <Group
        selectionMode="single"
        disallowEmptySelection
        selectedKeys={now === undefined ? [] : [String(now)]}
        onSelectionChange={(keys) => {
          const [strips] = [...keys].map(Number)
          if (strips) edit([{ type: 'patchDesign', patch: take(strips) }], 'done')
        }}
      >
        {choices.map(({ strips, gap, withinLimits }) => (
          <Pick
            key={strips}
            id={String(strips)}
            aria-label={`${count(shown(strips), one, many)}, ${isBoxes ? 'each' : 'gaps of'} ${say(gap, wording)}${withinLimits ? '' : ', outside the limits'}`}
          >
            <b>
              <Fractions text={say(gap, wording)} />
            </b>
            <small>
              {shown(strips)}
              {withinLimits ? '' : ' · off limits'}
            </small>
          </Pick>
        ))}
      </Group>
    </Box>
  )
}
