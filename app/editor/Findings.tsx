import { Check, CircleAlert, Info, TriangleAlert } from 'lucide-react'
import { styled } from 'styled-components'
import type { Finding, Severity, WayOut } from '~/core/findings/finding'
import { findingText, wayOutText } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { space, type } from '~/ui/theme'
import { useWallEditor } from './WallEditor'

const List = styled.ul`
  display: grid;
  gap: ${space.m};
`
const Item = styled.li<{ $severity: Severity }>`
  display: grid;
  grid-template-columns: 20px 1fr;
  gap: ${space.s};
  ${({ $severity }) =>
    $severity === 'wrong' || $severity === 'watch'
      ? `padding: ${space.m}; border-left: 4px solid var(--red); background: var(--red-wash);`
      : 'color: var(--ink-soft);'}
  & > svg {
    margin-top: 2px;
    color: ${({ $severity }) =>
      $severity === 'good' ? 'var(--green)' : $severity === 'note' ? 'var(--ink-soft)' : 'var(--red)'};
  }
`
const Ways = styled.div`
  grid-column: 2;
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  font-size: ${type.body};
`

const ICONS = { wrong: CircleAlert, watch: TriangleAlert, note: Info, good: Check } as const
const SPOKEN = { wrong: 'Wrong: ', watch: 'Look at this: ', note: 'Note: ', good: 'Right: ' } as const

function Way({ way }: { way: WayOut }) {
  const { wording, edit, lookAt } = useWallEditor()
  return (
    <Button
      onPress={() => edit(way.edits, 'done')}
      onHoverStart={() => lookAt(way.edits)}
      onHoverEnd={() => lookAt(null)}
      onFocus={() => lookAt(way.edits)}
      onBlur={() => lookAt(null)}
    >
      <Fractions text={wayOutText(way.says, wording)} />
    </Button>
  )
}

/** What the plan has to say, worst first; each way out is drawn while it is pointed at, and taken when pressed. */
export function Findings({ only }: { only?: (finding: Finding) => boolean }) {
  const { plan, wording } = useWallEditor()
  const shown = plan.findings.filter((finding) => only?.(finding) ?? true)
  if (shown.length === 0) return null
  return (
    <List aria-label="Findings">
      {shown.map((finding, i) => {
        const Icon = ICONS[finding.severity]
        return (
          <Item key={`${finding.says.code}-${i}`} $severity={finding.severity}>
            <Icon size={18} aria-label={SPOKEN[finding.severity]} />
            <p>
              <Fractions text={findingText(finding.says, wording)} />
            </p>
            {finding.waysOut.length > 0 ? (
              <Ways>
                {finding.waysOut.map((way, k) => (
                  <Way key={k} way={way} />
                ))}
              </Ways>
            ) : null}
          </Item>
        )
      })}
    </List>
  )
}
