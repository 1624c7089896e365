import { Redo2, TriangleAlert, Undo2, X } from 'lucide-react'
import { useEffect } from 'react'
import { styled } from 'styled-components'
import { useStore } from 'zustand'
import { clashText, savingWord, stepName, whyNot } from '~/messages'
import { copy } from '~/offline/copy'
import { Button } from '~/ui/Button'
import { Tip } from '~/ui/Tip'
import { space, type } from '~/ui/theme'
import type { Saver, SaverState } from './saving/saver'

const Status = styled.p<{ $bad: boolean }>`
  min-width: 84px;
  max-width: 260px;
  text-align: right;
  font-size: ${type.body};
  font-weight: 550;
  color: ${({ $bad }) => ($bad ? 'var(--red)' : 'var(--green)')};
`
const Told = styled.div<{ $calm?: boolean }>`
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space.s} ${space.m};
  padding: ${space.s} ${space.m};
  background: ${({ $calm }) => ($calm ? 'var(--chalk-wash)' : 'var(--red-wash)')};
`

interface SavingProps {
  readonly saver: Saver
  /** The wall the page is of, by name; null on a room's page. */
  readonly here: string | null
}

const pickStatus = (state: SaverState) => state.status
const pickHistory = (state: SaverState) => state.history
const pickStepped = (state: SaverState) => state.stepped
const pickNote = (state: SaverState) => state.note

/** Undo and redo, each saying what it does, and whether all is saved. */
export function SavingTools({ saver, here }: SavingProps) {
  const status = useStore(saver.store, pickStatus)
  const { undo, redo } = useStore(saver.store, pickHistory)
  const stepped = useStore(saver.store, pickStepped)
  const shownAs = useStore(copy)
  const waiting = status.kind === 'waiting' || status.kind === 'saving'
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const inText = event.target instanceof HTMLInputElement
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || inText) return
      event.preventDefault()
      void saver.step(event.shiftKey ? 'redo' : 'undo')
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [saver])
  const refused = status.kind === 'failed' && status.refused
  // a step has its name when what is being saved has come back: until then it may be another
  const steps = [
    {
      way: 'undo',
      step: waiting || refused ? null : undo,
      Icon: Undo2,
      why: undo || waiting || refused ? null : whyNot.nothingToUndo,
    },
    {
      way: 'redo',
      step: waiting ? null : redo,
      Icon: Redo2,
      why: refused ? whyNot.refused : redo ? null : whyNot.nothingToRedo,
    },
  ] as const
  return (
    <>
      {steps.map(({ way, step, Icon, why }) => {
        const name = stepName(way, step, here)
        return (
          <Tip key={way} text={name}>
            <Button
              $kind="quiet"
              aria-label={why === null ? name : `${name}: ${why}`}
              // in a clash a step would take back what the other window saved
              isDisabled={why !== null || status.kind === 'clash'}
              onPress={() => void saver.step(way)}
            >
              <Icon size={20} aria-hidden />
            </Button>
          </Tip>
        )
      })}
      <Status
        role="status"
        data-saved-word
        $bad={status.kind === 'failed' || status.kind === 'clash' || shownAs.state !== 'fresh'}
      >
        {savingWord(status.kind, stepped, here, shownAs)}
      </Status>
    </>
  )
}

/** What a person has to know or to settle about saving; nothing where all is well. */
export function SavingTrouble({ saver, here }: SavingProps) {
  const status = useStore(saver.store, pickStatus)
  const note = useStore(saver.store, pickNote)
  return (
    <>
      {status.kind === 'failed' ? (
        <Told role="alert">
          <TriangleAlert size={18} aria-hidden /> {status.why}
          <Button onPress={() => void saver.flush()}>Try to save again</Button>
        </Told>
      ) : null}
      {status.kind === 'clash' ? (
        <Told role="alert">
          <TriangleAlert size={18} aria-hidden /> {clashText(status.clashes, here)}
          <Button onPress={() => void saver.settle('mine')}>Keep what is here</Button>
          <Button onPress={() => void saver.settle('theirs')}>Take the other</Button>
        </Told>
      ) : null}
      {note ? (
        <Told role="alert" $calm>
          {note}
          <Button $kind="quiet" aria-label="Close this note" onPress={saver.dismissNote}>
            <X size={18} aria-hidden />
          </Button>
        </Told>
      ) : null}
    </>
  )
}
