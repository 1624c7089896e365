import { MessageSquareWarning, PenLine } from 'lucide-react'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { styled } from 'styled-components'
import { differsFromSigned } from '~/core/agree/clientWord'
import { clientText, say, sayWithUnit } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { space } from '~/ui/theme'
import { useWallEditor } from './WallEditor'

const List = styled.ul`
  display: grid;
  gap: ${space.m};
`
const Item = styled.li`
  display: grid;
  grid-template-columns: 20px 1fr;
  gap: ${space.s};
  padding: ${space.m};
  border-left: 4px solid var(--red);
  background: var(--red-wash);
  & > svg {
    margin-top: 2px;
    color: var(--red);
  }
`

/** How the wall in hand differs from what was signed of it; null where nothing was signed, or nothing differs. */
export function useSignedDifference() {
  const { identity, workpiece } = useWallEditor()
  const { signed } = identity.asked
  return useMemo(() => {
    const chosen = identity.options.find((option) => option.chosen)
    if (!signed || !chosen) return null
    const design = identity.option.chosen ? workpiece.wall.design : chosen.design
    if (!design) return null
    return differsFromSigned(signed.wall, signed.settings, {
      option: chosen,
      wall: { survey: workpiece.wall.survey, design },
      settings: workpiece.settings,
    })
  }, [signed, identity, workpiece])
}

/** What the client asks for on this wall, and that it is not as it was signed. */
export function Asked() {
  const { identity, wording } = useWallEditor()
  const { remarks, signed } = identity.asked
  const difference = useSignedDifference()
  if (remarks.length === 0 && !difference) return null
  return (
    <List aria-label={clientText.remarks}>
      {signed && difference ? (
        <Item data-differs-from-signed="">
          <PenLine size={18} aria-hidden />
          <p>
            {clientText.signed(signed.name, new Date(signed.signedAt).toISOString().slice(0, 10))}.{' '}
            {clientText.differs(identity.name, difference)}
          </p>
        </Item>
      ) : null}
      {remarks.map(({ id, text, at }) => (
        <Item key={id} data-asked="">
          <MessageSquareWarning size={18} aria-hidden />
          <p>
            <Fractions
              text={clientText.asks(
                text,
                at && `${say(at.x, wording)} from the left, ${sayWithUnit(at.y, wording)} up`,
              )}
            />{' '}
            <Link to={`/jobs/${identity.job.id}/client`}>{clientText.toClient}</Link>
          </p>
        </Item>
      ))}
    </List>
  )
}
