import { Redo2, TriangleAlert, Undo2 } from 'lucide-react'
import { useEffect } from 'react'
import { Link } from 'react-router'
import { styled } from 'styled-components'
import { Button } from '~/ui/Button'
import { Logo } from '~/ui/Logo'
import { PageHeader, Trail } from '~/ui/PageHeader'
import { space, type } from '~/ui/theme'
import { JobSettings } from './JobSettings'
import { useSavingOfWall, useWallEditor } from './WallEditor'

const Home = styled(Link)`
  display: inline-flex;
  align-items: center;
  gap: ${space.s};
  min-height: 40px;
  font-size: 1.25rem;
  font-weight: 750;
  color: var(--ink);
  text-decoration: none;
`
const Tools = styled.div`
  display: flex;
  align-items: center;
  gap: ${space.xs};
`
const Status = styled.p<{ $bad: boolean }>`
  min-width: 84px;
  text-align: right;
  font-size: ${type.body};
  font-weight: 550;
  color: ${({ $bad }) => ($bad ? 'var(--red)' : 'var(--green)')};
`
const Conflict = styled.div`
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space.s} ${space.m};
  padding: ${space.s} ${space.m};
  background: var(--red-wash);
`

function StatusWord() {
  const { status } = useSavingOfWall()
  const word = {
    saved: '✓ saved',
    waiting: 'saving…',
    saving: 'saving…',
    failed: 'not saved',
    conflict: 'not saved',
  }[status.kind]
  return (
    <Status role="status" $bad={status.kind === 'failed' || status.kind === 'conflict'}>
      {word}
    </Status>
  )
}

function Trouble() {
  const saving = useSavingOfWall()
  const { status } = saving
  if (status.kind === 'failed')
    return (
      <Conflict role="alert">
        <TriangleAlert size={18} aria-hidden /> {status.why}
        <Button onPress={() => void saving.saveNow()}>Try to save again</Button>
      </Conflict>
    )
  if (status.kind === 'conflict')
    return (
      <Conflict role="alert">
        <TriangleAlert size={18} aria-hidden /> This wall was changed in another window.
        <Button onPress={() => void saving.settleConflict('mine')}>Keep what is here</Button>
        <Button onPress={() => void saving.settleConflict('theirs')}>Take the other</Button>
      </Conflict>
    )
  return null
}

/** Where this wall is, what it is measured in, undo and redo, and whether it is saved. */
export function WallHeader() {
  const { identity } = useWallEditor()
  const saving = useSavingOfWall()
  const { canUndo, canRedo } = saving.history
  const waiting = saving.status.kind !== 'saved'
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const inText = event.target instanceof HTMLInputElement
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || inText) return
      event.preventDefault()
      void saving.step(event.shiftKey ? 'redo' : 'undo')
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [saving])
  return (
    <PageHeader>
      <Home to="/" aria-label="Regla, all jobs">
        <Logo /> Regla
      </Home>
      <Trail aria-label="Where this wall is">
        <Link to={`/jobs/${identity.job.id}`}>{identity.job.name}</Link> /{' '}
        <Link to={`/jobs/${identity.job.id}/rooms/${identity.room.id}`}>{identity.room.name}</Link> /{' '}
        <strong>{identity.name}</strong>
      </Trail>
      <Tools>
        <JobSettings />
        <Button
          $kind="quiet"
          aria-label="Undo"
          isDisabled={!canUndo && !waiting}
          onPress={() => void saving.step('undo')}
        >
          <Undo2 size={20} aria-hidden />
        </Button>
        <Button
          $kind="quiet"
          aria-label="Redo"
          isDisabled={!canRedo}
          onPress={() => void saving.step('redo')}
        >
          <Redo2 size={20} aria-hidden />
        </Button>
        <StatusWord />
      </Tools>
      <Trouble />
    </PageHeader>
  )
}
