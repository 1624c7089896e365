import { ToggleButton, ToggleButtonGroup } from 'react-aria-components'
import { styled } from 'styled-components'
import { choosePattern } from '~/core/edits/choosePattern'
import { useWallEditor } from '~/editor/WallEditor'
import { type Pattern, PATTERNS } from '~/model'
import { space, type } from '~/ui/theme'

const Group = styled(ToggleButtonGroup)`
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
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
  font-size: ${type.small};
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

const NAMES: Readonly<Record<Pattern, string>> = {
  battens: 'Battens',
  grid: 'Grid',
  boxes: 'Boxes',
  slats: 'Slats',
  rails: 'Rails',
}

const upright = (x: number, width: number, top = 12, bottom = 30) =>
  `M${x} ${top}h${width}V${bottom}h-${width}Z`
const level = (y: number, height = 2.5) => `M2 ${y}h40v${height}h-40Z`
const frame = (x: number, y: number, width: number, height: number) =>
  `M${x} ${y}h${width}v${height}h-${width}Zm1.6 1.6v${height - 3.2}h${width - 3.2}v-${height - 3.2}Z`

/** What each pattern makes of a small wall. */
const PICTURES: Readonly<Record<Pattern, string>> = {
  battens: [level(10), level(29), ...[2, 12, 21, 30, 40].map((x) => upright(x, 2))].join(''),
  grid: [level(3), level(12), level(21), level(30), ...[2, 15, 28, 40].map((x) => upright(x, 2, 3, 32))].join(
    '',
  ),
  boxes: [level(13), frame(4, 18, 10, 11), frame(17, 18, 10, 11), frame(30, 18, 10, 11)].join(''),
  slats: Array.from({ length: 13 }, (_, i) => upright(2.5 + i * 3.1, 1.6, 3, 32)).join(''),
  rails: [level(7, 1.8), level(18), level(30)].join(''),
}

/** What the trim makes of the wall, each as a small drawing; one press turns the wall to it. */
export function PatternPicks() {
  const { workpiece, edit } = useWallEditor()
  const { pattern } = workpiece.wall.design
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
            <path d={PICTURES[each]} fill="var(--chalk)" fillRule="evenodd" />
          </svg>
          {NAMES[each]}
        </Pick>
      ))}
    </Group>
  )
}
