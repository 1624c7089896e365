import { CloudOff } from 'lucide-react'
import { useEffect, useLayoutEffect, useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { Link } from 'react-router'
import { useStore } from 'zustand'
import { asStuff } from '~/core/asbuilt/cutFacts'
import { releaseOf } from '~/core/asbuilt/release'
import type { LeftPiece } from '~/core/stock'
import { actClashes } from '~/core/log/clashes'
import { tickOf } from '~/length'
import { actClashText, agreeText, clockText, durationText, logText, stripName } from '~/messages'
import { Button } from '~/ui/Button'
import { SteadyButton } from '~/ui/SteadyButton'
import { space, type } from '~/ui/theme'
import { newToken, rackPiece } from './saving/browserSaver'
import { listenToNews } from '~/offline/news'
import { useActs, useBringWall, useOutbox, useSaver, useWallEditor } from './WallEditor'
import { useUnsavedChoice } from './wallOptions'

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
  const { wallPath } = useWallEditor().identity
  // before it is painted: figures that this device kept are labeled from the first
  useLayoutEffect(() => {
    const both = async () => {
      const [acts, documents] = await Promise.all([outbox.refresh(), bring()])
      return acts && documents
    }
    return listenToNews(both, { wall: wallPath })
  }, [outbox, bring, wallPath])
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
  const unsaved = useUnsavedChoice(identity, useSaver())
  const choice = useLate(unsaved !== null) ? unsaved : null
  const late = useLate(waiting.length > 0)
  const { names } = identity.crew
  const settle = (kind: 'struck' | 'spare', entry: string) =>
    outbox.record({ id: newToken(), kind, entry, doneAt: Date.now() })
  const who = (member: string | null) => (member === null ? 'one phone' : (names[member] ?? 'someone'))
  /** The second of a piece that was cut twice, as what lies on the rack; null where nothing else can be cut from it. */
  const spareOf = (name: string) => {
    const state = releaseOf(acts)?.pieces.find(({ piece }) => piece.name === name)
    return state ? asStuff(state) : null
  }
  const rack = ({ name, materialId: material, length }: LeftPiece, entry: string) => {
    rackPiece({ material, length, label: `${name} spare`.slice(0, 12), job: identity.job.id })
    settle('spare', entry)
  }
  return (
    <div>
      {late ? (
        <Line role="status" data-unsent={waiting.length}>
          <CloudOff size={18} aria-hidden /> {logText.waiting(waiting.length)}
        </Line>
      ) : null}
      {choice ? (
        <Line role="status" data-bad data-unsaved-choice>
          {agreeText.choiceUnsaved(choice.name)}{' '}
          {choice.path ? <Link to={choice.path}>{agreeText.saveChoice}</Link> : null}
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
        const spare = clash.kind === 'cutTwice' ? spareOf(clash.piece) : null
        return (
          <Line key={last?.id} role="status" data-bad data-clash={clash.kind}>
            {actClashText(named, who, (at) => clockText(at))}
            {spare && last ? (
              <SteadyButton onPress={() => rack(spare, last.id)}>{logText.isSpare}</SteadyButton>
            ) : null}
            <Button $kind="quiet" onPress={() => last && settle('struck', last.id)}>
              {spare ? logText.isOne : logText.forget}
            </Button>
          </Line>
        )
      })}
    </div>
  )
}
