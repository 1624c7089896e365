import { inForce } from '~/model'
import { ToggleButton, ToggleButtonGroup } from 'react-aria-components'
import { styled } from 'styled-components'
import { countWays } from '~/core/judgement/choices'
import { useWallEditor } from '~/editor/WallEditor'
import { count, say, patternWords } from '~/messages'
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
  const choices = countWays(workpiece, plan.layout, 4)
  if (choices.length === 0) return null
  const { one, many, width, each } = patternWords(inForce(workpiece.wall.design))
  const now = plan.layout.placement?.nearEdges.length
  return (
    <Box aria-label="What closes the wall">
      <h3>
        What closes the wall: {width}, and how many {many}
      </h3>
      <Group
        selectionMode="single"
        disallowEmptySelection
        selectedKeys={now === undefined ? [] : [String(now)]}
        onSelectionChange={(keys) => {
          const way = choices.find(({ strips }) => keys.has(String(strips)))
          if (way) edit(way.edits, 'done')
        }}
      >
        {choices.map(({ strips, count: shown, gap, withinLimits }) => (
          <Pick
            key={strips}
            id={String(strips)}
            aria-label={`${count(shown, one, many)}, ${each} ${say(gap, wording)}${withinLimits ? '' : ', outside the limits'}`}
          >
            <b>
              <Fractions text={say(gap, wording)} />
            </b>
            <small>
              {shown}
              {withinLimits ? '' : ' · off limits'}
            </small>
          </Pick>
        ))}
      </Group>
    </Box>
  )
}
