import { useEffect, useRef, useState } from 'react'
import { NavLink, useLocation } from 'react-router'
import type { FindingStage } from '~/core/findings/finding'
import { blocking } from '~/core/findings/surveyFindings'
import { styled } from 'styled-components'
import type { Right } from '~/model'
import { useMay } from '~/ui/rights'
import { narrow, space, type } from '~/ui/theme'
import { useSignedDifference } from './Asked'
import { useUnread, useWallEditor } from './WallEditor'

/** The stages in the order of the work. */
const STAGES = [
  { path: 'measure', name: 'Measure' },
  { path: 'layout', name: 'Lay out' },
  { path: 'agree', name: 'Agree' },
  { path: 'mark', name: 'Mark' },
  { path: 'cut', name: 'Cut' },
  { path: 'buy', name: 'Buy' },
  { path: 'fit', name: 'Fit' },
  { path: 'finish', name: 'Finish' },
  { path: 'log', name: 'Log' },
] as const

/** What takes more than to work at the wall. */
const TAKES: Readonly<Record<string, Right>> = { layout: 'jobs', agree: 'jobs', buy: 'prices' }

/** What is done to an option; the other stages are the chosen one's. */
const OF_OPTION: ReadonlySet<string> = new Set(['measure', 'layout', 'agree'])

/** Not before the page has drawn itself. */
const STAGES_FETCHED_AFTER_MS = 800

const Tape = styled.nav`
  display: flex;
  overflow-x: auto;
  background: var(--rod);
  border-bottom: 1px solid var(--rod-edge);
  background-image:
    repeating-linear-gradient(90deg, var(--rod-edge) 0 1px, transparent 1px 120px),
    repeating-linear-gradient(90deg, var(--rod-edge) 0 1px, transparent 1px 12px);
  background-size:
    100% 12px,
    100% 6px;
  background-repeat: no-repeat;
  background-position:
    0 100%,
    0 100%;
`
const Stop = styled(NavLink)`
  flex: 0 0 120px;
  display: flex;
  align-items: flex-start;
  gap: ${space.s};
  min-height: 48px;
  padding: 10px ${space.m};
  color: var(--rod-ink);
  font-weight: 600;
  font-size: ${type.body};
  text-decoration: none;
  &[aria-current='page'] {
    background: var(--bar);
    color: var(--bar-ink);
  }
  &:focus-visible {
    outline-color: currentColor;
    outline-offset: -4px;
  }
  ${narrow} {
    flex: 1 0 84px;
    padding: 10px ${space.s};
  }
`
const Open = styled.span`
  display: inline-grid;
  place-items: center;
  min-width: 22px;
  height: 22px;
  border-radius: 11px;
  background: var(--red);
  color: #fff;
  font-size: ${type.small};
`

/** The stages along a tape, with how many things are open in each. Any can be entered at any time. */
export function StageTape() {
  const { identity, plan, boards, workpiece } = useWallEditor()
  const unread = useUnread()
  const may = useMay()
  const differs = useSignedDifference() !== null
  const { survey } = workpiece.wall
  // every stage's script is at hand once the page is up: the server may be away when it is wanted
  const [settled, setSettled] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(true), STAGES_FETCHED_AFTER_MS)
    return () => clearTimeout(timer)
  }, [])
  const count = (stage: FindingStage) =>
    plan.findings.filter((finding) => finding.stage === stage && finding.severity === 'wrong').length
  const open: Partial<Record<(typeof STAGES)[number]['path'], number>> = {
    measure: count('measure') + Object.keys(unread).filter((field) => field.startsWith('survey')).length,
    layout: count('layout'),
    agree: identity.asked.remarks.length + (differs ? 1 : 0),
    cut: blocking(plan.findings, survey, workpiece.settings.fit).length,
    buy: Math.max(count('buy'), boards.materials.filter(({ result }) => !result.ok).length),
  }
  const tape = useRef<HTMLElement>(null)
  const { pathname } = useLocation()
  // on a phone the stage at work may lie beyond the edge
  useEffect(() => {
    const stop = tape.current?.querySelector<HTMLElement>('[aria-current=page]')
    if (!tape.current || !stop) return
    const { scrollLeft, clientWidth } = tape.current
    const from = stop.offsetLeft - tape.current.offsetLeft
    // one in view stays where it is, and so does a tape that was pulled: nothing moves under a thumb
    if (scrollLeft > 0 || from + stop.offsetWidth <= clientWidth) return
    tape.current.scrollLeft = from - 60
  }, [pathname])
  return (
    <Tape ref={tape} aria-label="Stages of the work">
      {STAGES.filter(({ path }) => may(TAKES[path] ?? 'wall')).map(({ path, name }) => (
        <Stop
          key={path}
          to={`${OF_OPTION.has(path) ? identity.path : identity.wallPath}/${path}`}
          prefetch={settled ? 'render' : 'intent'}
        >
          {name}
          {open[path] ? <Open aria-label={`${open[path]} open`}>{open[path]}</Open> : null}
        </Stop>
      ))}
    </Tape>
  )
}
