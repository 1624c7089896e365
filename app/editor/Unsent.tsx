import { CloudOff } from 'lucide-react'
import { useEffect, useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { useStore } from 'zustand'
import { releaseOf } from '~/core/asbuilt/release'
import { actClashes } from '~/core/log/clashes'
import { tickOf } from '~/length'
import { actClashText, clockText, durationText, logText, stripName } from '~/messages'
import { Button } from '~/ui/Button'
import { SteadyButton } from '~/ui/SteadyButton'
import { space, type } from '~/ui/theme'
import { newToken, rackPiece } from './saving/browserSaver'
import { listenToNews } from '~/offline/news'
import { useActs, useBringWall, useOutbox, useWallEditor } from './WallEditor'

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space.xs} ${space.m};
  padding: ${space.xs} ${space.l};
  font-size: ${type.body};
  color: var(--ink);
  background: var(--chalk-wash);
  &[data-bad] {
    background: var(--red-wash);
  }
`
/** Takes in what others do on this wall: its acts, and what they save of it. */
function useOthers() {
  const outbox = useOutbox()
  const bring = useBringWall()
  useEffect(
    () =>
      listenToNews(async () => {
        const [acts, documents] = await Promise.all([outbox.refresh(), bring()])
        return acts && documents
      }),
    [outbox, bring],
  )
}

/** What is on its way for so long is not sent yet; less is no news, and must not move the page under a thumb. */
const LATE_MS = 2_500

/** Whether something has been waiting for a while. */
function useLate(waits: boolean): boolean {
  const [late, setLate] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setLate(waits), waits ? LATE_MS : 0)
    return () => clearTimeout(timer)
  }, [waits])
  return late && waits
}

/** What is not sent yet, what can't be, and what two phones did that can't both hold. */
export function Unsent() {
  const outbox = useOutbox()
  const { waiting, refused, full, clockBack } = useStore(outbox.store)
  const { identity, workpiece, wording } = useWallEditor()
  const acts = useActs()
  const tick = tickOf(workpiece.settings.tape)
  const clashes = useMemo(() => actClashes(acts, tick), [acts, tick])
  useOthers()
  const late = useLate(waiting.length > 0)
  const { names } = identity.crew
  const strike = (entry: string) =>
    outbox.record({ id: newToken(), kind: 'struck', entry, doneAt: Date.now() })
  /** The second of a piece that was cut twice lies on the rack from now on, under the piece's name. */
  const spare = (name: string, entry: string) => {
    const piece = releaseOf(acts)?.pieces.find((state) => state.piece.name === name)?.piece
    if (piece)
      rackPiece({
        material: piece.materialId,
        length: piece.shortLength,
        label: `${name} spare`.slice(0, 12),
        job: identity.job.id,
      })
    strike(entry)
  }
  const who = (member: string | null) => (member === null ? 'one phone' : (names[member] ?? 'someone'))
  return (
    <div>
      {late ? (
        <Line role="status" data-unsent={waiting.length}>
          <CloudOff size={18} aria-hidden /> {logText.waiting(waiting.length)}
        </Line>
      ) : null}
      {full ? (
        <Line role="alert" data-bad>
          {logText.full}
        </Line>
      ) : null}
      {clockBack > 0 ? (
        <Line role="status" data-bad>
          {logText.clockBack(durationText(Math.round(clockBack / 60_000)))}
        </Line>
      ) : null}
      {refused.length > 0 ? (
        <Line role="alert" data-bad>
          {logText.refused(refused.length)}{' '}
          <Button $kind="quiet" onPress={outbox.forgetRefused}>
            {logText.forget}
          </Button>
        </Line>
      ) : null}
      {clashes.map((clash) => {
        const last = clash.acts.at(-1)
        const named =
          clash.kind === 'readTwice' ? { ...clash, piece: stripName(clash.piece, wording) } : clash
        return (
          <Line key={last?.id} role="status" data-bad data-clash={clash.kind}>
            {actClashText(named, who, (at) => clockText(at))}
            {clash.kind === 'cutTwice' && last ? (
              <SteadyButton onPress={() => spare(clash.piece, last.id)}>{logText.isSpare}</SteadyButton>
            ) : null}
            <Button $kind="quiet" onPress={() => last && strike(last.id)}>
              {clash.kind === 'cutTwice' ? logText.isOne : logText.forget}
            </Button>
          </Line>
        )
      })}
    </div>
  )
}
