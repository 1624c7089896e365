import { useStore } from 'zustand'
import { allCut } from '~/core/asbuilt/release'
import { isCut } from '~/core/marks/marked'
import { newToken } from '~/editor/saving/browserSaver'
import { useOutbox, useWallEditor } from '~/editor/WallEditor'
import { cutText, sawText, sinceText } from '~/messages'
import { SteadyButton } from '~/ui/SteadyButton'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { useCutActs } from './CutActs'
import { useReleasing } from './Releasing'

/** Where the list stands: not released, at the saw, or left behind by the layout; and whether all of it is cut. */
export function ReleaseBar() {
  const { plan } = useWallEditor()
  const { release, since, record } = useCutActs()
  const releasing = useReleasing()
  const outbox = useOutbox()
  const acts = useStore(outbox.store, (state) => state.acts)
  if (plan.pieces.length === 0 && !release) return null
  if (!release) {
    const cut = isCut(acts)
    return (
      <section aria-label="The list">
        {releasing.form}
        <Row>
          {releasing.form ? null : (
            <SteadyButton $kind="main" onPress={releasing.press}>
              {sawText.release}
            </SteadyButton>
          )}
          <SteadyButton
            $kind="quiet"
            onPress={() => outbox.record({ id: newToken(), kind: cut ? 'uncut' : 'cut', doneAt: Date.now() })}
          >
            {cut ? cutText.notYet : cutText.all}
          </SteadyButton>
        </Row>
        <Soft role="status">{cut ? cutText.done : sawText.releaseWhy}</Soft>
      </section>
    )
  }
  const since_ = since && sinceText(since)
  const cut = release.pieces.filter(({ cutAt }) => cutAt !== null)
  const open = release.pieces.filter(({ cutAt }) => cutAt === null)
  return (
    <section aria-label="The list" data-release={release.id}>
      <p role="status">
        {allCut(release) ? (
          <b>{cutText.done}</b>
        ) : (
          <b data-cut-of>{sawText.cutOf(cut.length, release.pieces.length)}</b>
        )}
      </p>
      {release.despite ? (
        <Soft data-released-despite>
          {cutText.releasedDespite(release.despite.open.length, release.despite.reason)}
        </Soft>
      ) : null}
      {since_ ? (
        <>
          <p data-since>
            <Fractions text={since_} />
          </p>
          {releasing.form ?? (
            <SteadyButton $kind="main" onPress={releasing.press}>
              {sawText.again}
            </SteadyButton>
          )}
        </>
      ) : null}
      <Row>
        {allCut(release) ? null : (
          <SteadyButton
            $kind="quiet"
            onPress={() =>
              record(
                open.map(({ piece }) => piece.name),
                { kind: 'pieceCut' },
              )
            }
          >
            {cutText.all}
          </SteadyButton>
        )}
      </Row>
    </section>
  )
}
