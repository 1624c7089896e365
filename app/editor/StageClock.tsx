import { Pause, Play } from 'lucide-react'
import { useEffect, useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { minutesOfWork, running, workedOnWall } from '~/core/log/worked'
import { durationText, logText } from '~/messages'
import type { LogStage } from '~/model'
import { Button } from '~/ui/Button'
import { Row } from '~/ui/page'
import { ThumbDim } from '~/ui/walk'
import { newToken } from './saving/browserSaver'
import { useActs, useOutbox, useWallEditor } from './WallEditor'

const Told = styled.span<{ $dark: boolean }>`
  color: ${({ $dark }) => ($dark ? 'var(--bar-soft)' : 'var(--ink-soft)')};
`
const LOOK_AGAIN_MS = 20_000

/** Minutes go by; on the server nobody knows them. */
function useClock(): number | null {
  const [now, setNow] = useState<number | null>(null)
  useEffect(() => {
    const look = () => setNow(Date.now())
    const first = setTimeout(look, 0)
    const timer = setInterval(look, LOOK_AGAIN_MS)
    return () => {
      clearTimeout(first)
      clearInterval(timer)
    }
  }, [])
  return now
}

/** Starts and stops the clock of a stage with one press. Time between ticks is told without it too. */
export function StageClock({ stage, dark = false }: { readonly stage: LogStage; readonly dark?: boolean }) {
  const outbox = useOutbox()
  const acts = useActs()
  const { me } = useWallEditor().identity.crew
  const now = useClock()
  const worked = useMemo(() => workedOnWall(acts), [acts])
  const runs = running(worked, stage, me)
  const all = worked
    .filter((each) => each.of === stage)
    .reduce((sum, each) => sum + minutesOfWork(each, now ?? 0), 0)
  const press = () =>
    outbox.record(
      runs
        ? { id: newToken(), kind: 'ended', stage, counted: null, doneAt: Date.now() }
        : { id: newToken(), kind: 'began', stage, doneAt: Date.now() },
    )
  const Pressed = dark ? ThumbDim : Button
  const Icon = runs ? Pause : Play
  return (
    <Row data-stage-clock={stage}>
      <Pressed onPress={press}>
        <Icon size={18} aria-hidden /> {runs ? logText.stop : logText.start(stage)}
      </Pressed>
      <Told role="status" $dark={dark}>
        {now === null
          ? ''
          : runs
            ? logText.running(durationText(Math.floor(minutesOfWork(runs, now))))
            : all >= 1
              ? logText.worked(durationText(Math.round(all)))
              : ''}
      </Told>
    </Row>
  )
}
