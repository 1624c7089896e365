import { ToggleButton, ToggleButtonGroup } from 'react-aria-components'
import { styled } from 'styled-components'
import { choosePattern } from '~/core/edits/choosePattern'
import { useWallEditor } from '~/editor/WallEditor'
import { patternWords } from '~/messages'
import { PATTERNS, inForce } from '~/model'
import { space } from '~/ui/theme'
import { PATTERN_PARTS } from './patternParts'

const Group = styled(ToggleButtonGroup)`
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: ${space.xs};
`
const Pick = styled(ToggleButton)`
  display: grid;
  justify-items: center;
  gap: 2px;
  min-height: 60px;
  padding: ${space.xs} 0;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--raised);
  color: var(--ink);
  /* six side by side in the narrow column */
  font-size: 0.78rem;
  letter-spacing: -0.01em;
  font-weight: 600;
  cursor: pointer;
  &[data-selected] {
    border: 2px solid var(--chalk);
    background: var(--chalk-wash);
  }
  &[data-hovered] {
    border-color: var(--chalk);
  }
`

/** What the trim makes of the wall, each as a small drawing; one press turns the wall to it. */
export function PatternPicks() {
  const { workpiece, edit } = useWallEditor()
  const { pattern } = inForce(workpiece.wall.design)
  return (
    <Group
      aria-label="Pattern"
      selectionMode="single"
      disallowEmptySelection
      selectedKeys={[pattern]}
      onSelectionChange={(keys) => {
        const next = PATTERNS.find((each) => keys.has(each))
        if (next && next !== pattern) edit(choosePattern(workpiece, next), 'done')
      }}
    >
      {PATTERNS.map((each) => (
        <Pick key={each} id={each}>
          <svg viewBox="0 0 44 34" width="44" height="34" aria-hidden="true">
            <rect x="1" y="1" width="42" height="32" fill="var(--wall)" stroke="var(--line)" />
            <path d={PATTERN_PARTS[each].picture} fill="var(--chalk)" fillRule="evenodd" />
          </svg>
          {patternWords({ pattern: each }).pick}
        </Pick>
      ))}
    </Group>
  )
}
