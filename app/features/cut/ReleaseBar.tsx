import { useStore } from 'zustand'
import { allCut } from '~/core/asbuilt/release'
import { isCut } from '~/core/marks/marked'
import { newToken } from '~/editor/saving/browserSaver'
import { useOutbox, useWallEditor } from '~/editor/WallEditor'
import { cutText, sawText, sinceText } from '~/messages'
import { Button } from '~/ui/Button'
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
            <Button $kind="main" onPress={releasing.press}>
              {sawText.release}
            </Button>
          )}
          <Button
            $kind="quiet"
            onPress={() => outbox.record({ id: newToken(), kind: cut ? 'uncut' : 'cut', doneAt: Date.now() })}
          >
            {cut ? cutText.notYet : cutText.all}
          </Button>
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
            <Button $kind="main" onPress={releasing.press}>
              {sawText.again}
            </Button>
          )}
        </>
      ) : null}
      <Row>
        {allCut(release) ? null : (
          <Button
            $kind="quiet"
            onPress={() =>
              record(
                open.map(({ piece }) => piece.name),
                { kind: 'pieceCut' },
              )
            }
          >
            {cutText.all}
          </Button>
        )}
      </Row>
    </section>
  )
}
