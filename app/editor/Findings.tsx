import { Check, CircleAlert, Info, TriangleAlert } from 'lucide-react'
import { styled } from 'styled-components'
import type { Finding, Severity, WayOut } from '~/core/findings/finding'
import type { TriedFix } from '~/core/findings/tried'
import { findingText, fixCausesText, fixText, wayOutText } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { space, type } from '~/ui/theme'
import { useTriedFixes } from './useTriedFixes'
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

const Fix = styled.div`
  display: grid;
  justify-items: start;
  gap: ${space.xs};
  max-width: 100%;
`

const ICONS = { wrong: CircleAlert, watch: TriangleAlert, note: Info, good: Check } as const
const SPOKEN = { wrong: 'Wrong: ', watch: 'Look at this: ', note: 'Note: ', good: 'Right: ' } as const

/** A fix: what it does, and under it what it brings with it. */
function Way({ way, tried }: { way: WayOut; tried: TriedFix | null }) {
  const { wording, edit, lookAt } = useWallEditor()
  const then =
    tried && tried.causes.length > 0
      ? fixCausesText(tried.causes, { ...wording, strips: tried.strips })
      : null
  return (
    <Fix data-mends={tried?.mends}>
      <Button
        isDisabled={tried?.mends === 'now'}
        onPress={() => edit(way.edits, 'done')}
        onHoverStart={() => lookAt(way.edits)}
        onHoverEnd={() => lookAt(null)}
        onFocus={() => lookAt(way.edits)}
        onBlur={() => lookAt(null)}
      >
        <Fractions text={wayOutText(way.says, wording)} />
      </Button>
      {tried?.mends === 'now' ? <Soft>{fixText.now}</Soft> : null}
      {then ? (
        <Soft data-causes>
          <Fractions text={then} />
        </Soft>
      ) : null}
    </Fix>
  )
}

/** The fixes of a finding that mend it, once they are tried. */
function Fixes({ finding, tried }: { finding: Finding; tried: ReturnType<typeof useTriedFixes> }) {
  const ways = finding.waysOut.map((way) => ({ way, is: tried.triedOf(finding, way) }))
  const shown = ways.filter(({ is }) => (tried.failed ? true : is !== null && is.mends !== 'not'))
  const open = !tried.failed && ways.some(({ is }) => is === null)
  if (shown.length === 0 && !open) return null
  return (
    <Ways>
      {shown.map(({ way, is }, k) => (
        <Way key={k} way={way} tried={is} />
      ))}
      {open ? <Soft role="status">{fixText.trying}</Soft> : null}
      {tried.failed ? <Soft>{fixText.untried}</Soft> : null}
    </Ways>
  )
}

/** What the plan has to say, worst first; a fix that mends it is drawn while it is pointed at, and taken when pressed. */
export function Findings({ only }: { only?: (finding: Finding) => boolean }) {
  const { plan, workpiece, wording } = useWallEditor()
  const tried = useTriedFixes(workpiece, plan)
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
            {finding.waysOut.length > 0 ? <Fixes finding={finding} tried={tried} /> : null}
          </Item>
        )
      })}
    </List>
  )
}
